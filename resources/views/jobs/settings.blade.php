@extends('layout')
@section('title', "Firmware of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1>
<span class="goal">firmware of {{ $page->machine->title }}</span></header>
@include('jobs.tabs', ['tab' => 'settings'])
@include('jobs.firmware-nav', ['here' => 'settings', 'updates' => $page->update !== null])
@includeWhen($page->hasConflict(), 'jobs.questions')
<section class="panel" aria-labelledby="changes">
<h2 id="changes">What changes, in this order</h2>
@forelse ($page->steps() as $step)
@if ($step->rows !== [])
<x-rows :rows="$step->rows"/>
<p class="fine">
In one visit, then save and leave. <a href="/jobs/{{ $job->id }}?stone={{ $step->id }}">The stone</a>
</p>
@else
<ol class="do">
@foreach ($step->instructions as $line)
<li>@words($line)</li>
@endforeach
</ol>
@endif
@empty
<p>Nothing has to change: what the path needs is already so.</p>
@endforelse
@if ($decision = $page->secureBoot())
<p>
<b>Secure Boot: {{ $decision->chosen }}.</b> {{ implode(' ', $decision->reasons) }}
<span class="rule">{{ $decision->rule }}</span>
</p>
@endif
</section>
@include('jobs.set-now')
@includeWhen($page->settings !== [], 'jobs.snapshots')
@if ($page->modules !== [])
<section class="panel">
<h2>Memory speed</h2>
<ul>
@foreach ($page->memory() as $module)
<li><b>{{ $module['slot'] }}</b>: {{ $module['set'] }}
@foreach ($module['ways'] as $way)
<span class="fine">{{ $way }}</span>
@endforeach
</li>
@endforeach
</ul>
<p class="fine">After a change the first start may stay black for minutes: do not cut the power.</p>
</section>
@endif
@includeWhen($page->update !== null, 'jobs.update-path', ['update' => $page->update])
@endsection
