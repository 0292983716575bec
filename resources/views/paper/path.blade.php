@extends('layout')
@section('title', "Path of {$job->title}")
@section('page-class', 'paper')
@section('content')
<div class="sheet">
<header><div>
<b>{{ $job->title }}</b><br>{{ $progress->plan->job->system }} on {{ $progress->plan->job->machine }}</div>
<div class="num">job {{ sprintf('%04d', $job->id) }}, revision {{ $job->revision }}</div></header>
<p class="fine">For reading while the only computer restarts. What is done here is entered into the job afterwards.</p>
<ol class="paper-path">
@foreach ($progress->plan->steps as $step)
<li class="{{ $step->isOneWay() ? 'one-way' : '' }}">
<b>{{ $step->title }}</b> <span class="fine">{{ $step->presence->title() }},
{{ $step->time->likely->label() }}{{ $step->isOneWay() ? ', one-way' : '' }}@if ($progress->state($step)->isClosed())
, done
@endif
</span>
@foreach ($step->gates as $gate)
<div class="gate-line">{{ ucfirst($gate->kind->word()) }}: {{ $gate->title }}</div>
@endforeach
@foreach ($step->cautions as $caution)<div class="caution">{{ $caution }}</div>@endforeach
<ul>@foreach ($step->instructions as $line)<li>@words($line)</li>@endforeach</ul>
@foreach ($step->rows as $row)
<div class="fine">{{ implode(' · ', array_map(fn ($key, $cell) => "{$key}: {$cell}", array_keys($row), $row)) }}</div>
@endforeach
@if ($step->waiting)
<div class="fine">Usual: {{ implode('; ', $step->waiting->usual) }}. Worry after {{ $step->time->high->label() }}:
{{ $step->waiting->nextTest }}</div>
@endif
</li>
@endforeach
</ol>
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button>
<a class="btn" href="/jobs/{{ $job->id }}">Back to the job</a></div>
@endsection
