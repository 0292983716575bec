@extends('layout')
@section('title', $job->title)
@section('content')
@php($p = $progress->plan)
@php($state = $progress->state($step))
@php($total = fn ($presence) => $p->total($presence)->likely->label())
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">{{ $p->job->system ? $p->job->system.($p->job->edition ? ' '.$p->job->edition : '').', ' : '' }}{{ $p->job->kind->title() ?? 'clean install' }} · {{ $p->job->machine }} · job {{ sprintf('%04d', $job->id) }}{{ $job->slot ? " · slot {$job->slot}" : '' }}</span>
<span class="sum"><b class="hands">hands {{ $total(\Cobblestone\Runbook\Presence::Hands) }}</b> · <b class="walk">walk away {{ $total(\Cobblestone\Runbook\Presence::WalkAway) }}</b></span></header>
@if ($p->blockers !== [])<div class="panel stop-panel" role="alert"><h2>{{ array_filter($p->blockers, fn ($blocker) => $blocker->isStop()) !== [] ? 'Stop: it cannot work like this' : 'Hold: some of its stones are shut' }}</h2><ul>@foreach ($p->blockers as $blocker)<li>{{ $blocker->reason }} <span class="rule">{{ $blocker->rule }}</span> <span class="fine">{{ $blocker->isStop() ? 'Shuts every stone that changes something.' : 'Shuts: '.implode(', ', array_map(fn ($act) => $act->title(), $blocker->unsafe)).'.' }} {{ $blocker->opens->spoken() }}{{ $blocker->waivableBy === [] ? '' : ' A '.implode(' or a ', $blocker->waivableBy).' may waive it in writing.' }}</span></li>@endforeach</ul></div>@endif
@if (session('did') === 'replanned' && $revision?->difference !== null)@include('parts.difference', ['difference' => $revision->difference, 'reason' => $revision->reason])@endif
@include('jobs.tabs', ['tab' => 'path'])
@include('jobs.state')
<div class="water">@include('parts.path')</div>
<div class="cols">
<section class="panel work {{ $state->value }}" aria-labelledby="stone-title">
<h2 id="stone-title">{{ $step->title }}</h2>
<p class="meta">{{ $step->presence->title() }} · about {{ $step->time->likely->label() }} ({{ $step->time->low->label() }} to {{ $step->time->high->label() }}) · {{ $step->stage->title() }}{{ $step->isOneWay() ? ' · one-way' : '' }}{{ ($tries = $progress->tries($step)) > 1 ? " · try {$tries}" : '' }}</p>
@if ($progress->trouble($step) !== null)<p class="wrong">Problem: {{ $progress->trouble($step) }}</p>@endif
@include('parts.step')
@foreach ($step->gates as $gate)<p class="gate-line {{ in_array($gate, $progress->shutGates($step), true) ? 'shut' : 'open' }}">{{ ucfirst($gate->kind->word()) }}: {{ $gate->title }} · {{ in_array($gate, $progress->shutGates($step), true) ? 'shut' : ($progress->isWaived($gate) ? 'waived' : 'open') }}</p>@endforeach
<div class="acts"><a class="btn" href="/jobs/{{ $job->id }}/paper">Path on paper</a>@unless ($job->isOpen())<a class="btn go" href="/jobs/{{ $job->id }}/handover">Handover sheet</a>@endunless</div>
</section>
<aside class="because" aria-label="Because"><h2>Because</h2>@include('parts.because')
@if ($state === \Cobblestone\Runbook\StepState::Ahead)<h2>Waits for</h2><ul>@foreach ($progress->missing($step) as $fact)<li>{{ \Cobblestone\Runbook\PathFact::spoken($fact) }}</li>@endforeach</ul>@endif
</aside>
</div>
@include('jobs.questions')
<div class="cols even">
@foreach ($cores as $core)<section class="panel">@include('parts.core')</section>@endforeach
<section class="panel"><h2>To put back</h2>
@php($open = $progress->openPutBacks())
@if ($open === [])<p class="fine">Nothing is weakened or changed at the moment.</p>@else<ul class="put-back">@foreach ($open as $item)<li><b>{{ $item['entry']->what }}</b> {{ $item['entry']->stays ? '· stays on purpose, to be signed' : '' }}<br><span class="fine">{{ $item['entry']->why }}</span></li>@endforeach</ul>@endif
@if (! $progress->job->waiting && $job->isOpen() && auth()->user()->mayWork())
<details class="more" @if ($errors->hasAny(['for', 'remind', 'wait_text'])) open @endif><summary>It waits for somebody</summary><form method="post" action="/jobs/{{ $job->id }}/state/wait">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<div class="choices">@foreach (\Cobblestone\Bench\Reminders::WAITING_FOR as $value => $words)<label><input type="radio" name="for" value="{{ $value }}" @checked(old('for') === $value)> {{ $words }}</label>@endforeach</div>@include('parts.error', ['field' => 'for'])
<label class="form-label" for="wait-text">What is missing</label><input id="wait-text" name="wait_text" class="form-control" maxlength="400" value="{{ old('wait_text') }}">
<label class="form-label mt-2" for="remind">Remind on</label><input id="remind" name="remind" type="date" class="form-control mono" value="{{ old('remind') }}">@include('parts.error', ['field' => 'remind'])
<button class="btn mt-2">Let it wait</button></form></details>@endif
<h2>Lay out</h2><ul>@foreach ($p->gather as $item)<li>{{ $item->what }} <span class="fine">{{ $item->why }}</span></li>@endforeach</ul></section>
</div>
<section class="panel decisions"><p><a href="/jobs/{{ $job->id }}/assessment">{{ count($p->decisions) }} decisions, with what was refused and why</a></p>
@if ($p->notes !== [])<details><summary>Noted while reading: {{ count($p->notes) }}</summary><ul>@foreach ($p->notes as $note)<li>{{ $note }}</li>@endforeach</ul></details>@endif
<p class="fine">Revision {{ $job->revision }} · <a href="/jobs/{{ $job->id }}/brief.yaml" hx-boost="false" download>brief as YAML</a> · <a href="/jobs/{{ $job->id }}/plan.json" hx-boost="false" download>plan as JSON</a> · <a href="/jobs/{{ $job->id }}/handover">handover sheet</a></p>
@if (is_array($revision?->difference))<details><summary>What revision {{ $job->revision }} changed</summary>@include('parts.difference', ['difference' => $revision->difference, 'reason' => $revision->reason])</details>@endif
</section>
@endsection
