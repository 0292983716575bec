@foreach ($step->because as $reason)
<p>@words($reason->text) <span class="rule">{{ $reason->rule }}</span></p>
@if ($reason->source !== '')
<p class="src">{{ $reason->source }}</p>
@endif
@endforeach
@if ($because->sentences() !== [])
<h2>Rehearsal says</h2>
@foreach ($because->sentences() as $sentence => $class)
<p class="{{ $class }}">{{ $sentence }}</p>
@endforeach
<p class="src">
Ground: {{ $because->ground() }}. <a href="/jobs/{{ $job->id }}/rehearsal">Every power-on</a>
@if ($step->usesWaysIn())
· <a href="/jobs/{{ $job->id }}/ways-in">Ways in</a>
@endif
</p>
@elseif ($step->usesWaysIn())
<p class="src">
<a href="/jobs/{{ $job->id }}/ways-in">Ways in</a> · <a href="/jobs/{{ $job->id }}/settings">Settings</a>
</p>
@endif
