@if ($page->cut() !== '')
<p class="wrong">{{ $page->cut() }}</p>
@endif
<ol class="shift">
@foreach ($page->jobs() as $job)
<li>
<h2><a href="/jobs/{{ $job->job }}">{{ $job->title() }}</a></h2>
@if (! $job->isTouched())
<p class="fine">nothing laid, and no problem, in this shift</p>
@endif
@if ($job->laid() !== '')
<p><span class="fine">laid</span> {{ $job->laid() }}</p>
@endif
@foreach ($job->open() as $line)
<p class="verdict stop">{{ $line }}</p>
@endforeach
@foreach ($job->besides() as $line)
<p>{{ $line }}</p>
@endforeach
@if ($job->stands() !== [])
<p><b>{{ implode(' · ', $job->stands()) }}</b></p>
@endif
</li>
@endforeach
</ol>
