@extends('layout')
@section('title', $step->title)
@section('page-class', 'run')
@section('draft', "{$job->id} {$step->id}")
@section('content')
@include('run.head')
<section class="stone-card {{ $page->state->value }} {{ $step->isOneWay() ? 'one-way' : '' }}"
 data-space="{{ $page->space() }}">
<div class="card-head">
<h1>{{ $step->title }}</h1>
<div class="timer">
@if ($page->runsSince() !== null)
<b class="clock" data-since="{{ $page->runsSince() }}" data-likely="{{ $step->time->likely->seconds }}"
 data-high="{{ $step->time->high->seconds }}">0:00</b>
<small>expected {{ $step->time->likely->label() }}, {{ $step->time->basis }} · worry after
{{ $step->time->high->label() }}</small>
@else
<small>{{ $page->takes() }}</small>
@endif
</div>
</div>
<p class="meta">{{ $page->meta() }}</p>
@if ($page->isOverdue())
<div class="overdue" role="status"><b>Longer than it should.</b> {{ $page->overdueWords() }}</div>
@elseif ($page->usual() !== null)
<p class="normal"><b>Is this normal?</b> {{ $page->usual() }}</p>
@endif
@if ($page->beside->detour !== null)
@include('run.detour', ['detour' => $page->beside->detour])
@elseif ($page->trouble() !== null)
<div class="wrong trouble"><b>Problem:</b> {{ $page->trouble() }}
@if ($step->waiting)
<br><b>Next test:</b> {{ $step->waiting->nextTest }}
@endif
</div>
@endif
@include('run.symptoms')
@if ($page->isStopped())
<p class="fine">What this stone asks is left out until what comes first is done.</p>
@elseif ($core = $page->core())
<div class="run-split"><div>@include('parts.step')</div><div class="run-core">@include('parts.core')</div></div>
@else
@include('parts.step')
@include('parts.opening-photos')
@includeWhen($presses !== null, 'parts.presses')
@endif
@error('step')
<p class="wrong" role="alert">{{ $message }}</p>
@enderror
@includeUnless($page->open, 'run.written')
@if ($page->mayWork && ! $page->closed)
@if ($page->waitsFor !== [])
<p class="waits"><b>You can read this ahead.</b> It starts when {{ implode(', and ', $page->waitsFor) }}.</p>
@endif
@foreach ($page->gates as $gate)
@include('run.gate')
@endforeach
@include('run.starts')
@if ($page->open)
@if ($page->confirmation() !== null)
<x-strip :to="$page->action('confirm')" :seen="$job->last_entry" :confirmation="$page->confirmation()"/>
@elseif ($page->asksEvidence())
@include('run.evidence', ['for' => $step, 'button' => 'Done'])
@endif
@include('run.acts')
@else
<div class="acts">@include('run.says')</div>
@endif
<div id="problem" class="words" hidden>
@include('run.seen')
<x-act :to="$page->action('problem')" :seen="$job->last_entry">
<label for="problem-text">What is wrong? What is seen, in a few words</label>
<textarea id="problem-text" name="text" class="form-control" rows="2" maxlength="4000" required></textarea>
<button class="btn stop">Note the problem</button>
</x-act>
</div>
@else
<div class="acts">
@include('run.says')
@if ($page->progress->isComplete())
<a class="btn go" href="/jobs/{{ $job->id }}/handover">Handover sheet</a>
@elseif ($page->isElsewhere())
<a class="btn go" href="/jobs/{{ $job->id }}/run">To the stone that is next</a>
@endif
</div>
@endif
@if ($page->mayWork)
<x-act :to="$page->action('note')" :seen="$job->last_entry" class="words" id="note" hidden>
<label for="note-text">Note</label>
<textarea id="note-text" name="text" class="form-control" rows="2" maxlength="4000" required>{{
    old('text')
}}</textarea>
<button class="btn">Keep the note</button>
</x-act>
@endif
@error('text')
<p class="wrong" role="alert">{{ $message }}</p>
@enderror
@error('role')
<p class="wrong" role="alert">{{ $message }}</p>
@enderror
<aside id="because" class="because" hidden><h2>Because</h2>@include('parts.because')</aside>
</section>
@if ($page->next() !== [])
<div class="next-stones"><span>then</span>
@foreach ($page->next() as $then)
<a href="?stone={{ $then->id }}">{{ $then->title }}
<small>{{ $then->presence->title() }}, {{ $then->time->likely->label() }}</small></a>
@endforeach
</div>
@endif
@if ($page->others() !== [])
<div class="else"><b>What else needs hands</b>
<ul>
@foreach ($page->others() as $item)
<li>
<a href="/jobs/{{ $item['job'] }}/run?stone={{ $item['step'] }}">{{ $item['title'] }}</a>: @words($item['action'])
</li>
@endforeach
</ul>
</div>
@endif
@endsection
