<nav class="job-tabs" aria-label="Parts of this job">
@foreach (\App\View\JobTabs::of($job, auth()->user()->mayWork()) as $id => $one)
<a href="{{ $one['href'] }}" @class(['here' => $tab === $id]) @if ($tab === $id) aria-current="page" @endif
 @if ($one['key'] !== '') data-key="{{ $one['key'] }}" @endif>{{ $one['name'] }}
@if ($one['key'] !== '')
<kbd>{{ $one['key'] }}</kbd>
@endif
</a>
@endforeach
@if (auth()->user()->mayWork() && $job->isOpen())
<a class="btn go" href="{{ \App\View\JobTabs::run($job, $tab) }}" data-key="r">Run mode <kbd>r</kbd></a>
@endif
</nav>
