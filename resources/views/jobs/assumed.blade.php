@if ($progress->plan->assumed !== [])
<details class="panel assumed" id="assumed">
<summary><b>Assumed</b>, as nobody knows better: {{ count($progress->plan->assumed) }}</summary>
<ul>
@foreach ($progress->plan->assumed as $one)
<li>{{ $one->taken }} <span class="rule">{{ $one->rule }}</span>
<x-door :link="new \App\View\DoorLink($job->id, $one->door)" :seen="$job->last_entry"/></li>
@endforeach
</ul>
</details>
@endif
