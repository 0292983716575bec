@if ($blockers !== [])
<div class="panel stop-panel" role="alert">
<h2>{{ \App\View\BlockerWords::heading($blockers) }}</h2>
<ul>
@foreach ($blockers as $blocker)
<li>
{{ $blocker->reason }} <span class="rule">{{ $blocker->rule }}</span>
<x-door :link="new \App\View\DoorLink($job->id, $blocker->door)" :seen="$job->last_entry"/>
<span class="fine">{{ \App\View\BlockerWords::of($blocker) }}</span>
</li>
@endforeach
</ul>
</div>
@endif
