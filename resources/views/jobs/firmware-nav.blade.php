<nav class="sub-tabs" aria-label="Parts of Firmware">
@foreach (['settings' => 'Settings', 'ways-in' => 'Ways in'] as $id => $name)
<a href="/jobs/{{ $job->id }}/{{ $id }}" @if ($here === $id) aria-current="page" class="here"
 @endif>{{ $name }}</a>
@endforeach
@if ($updates ?? true) <a href="/jobs/{{ $job->id }}/settings#update">Update path</a>@endif
</nav>
