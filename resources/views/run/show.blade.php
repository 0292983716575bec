@extends('layout')
@section('title', $step->title)
@section('page-class', 'run')
@section('content')
@php($closed = $state->isClosed())
@php($missing = array_values(array_diff($progress->missing($step), array_map(fn ($gate) => $gate->fact, $progress->shutGates($step)))))
@php($confirm = $step->isOneWay() && ! $progress->isConfirmed($step))
@php($mayWork = auth()->user()->mayWork())
@php($open = $mayWork && ! $closed && $shut === [] && $missing === [])
@php($started = $progress->startedAt($step))
@php($action = fn ($name) => "/jobs/{$job->id}/steps/{$step->id}/{$name}")
<div class="run-head"><a href="/jobs/{{ $job->id }}?stone={{ $step->id }}" data-key="Escape">{{ $job->title }}</a> <span>stone {{ $number }} of {{ count($progress->plan->steps) }}{{ $job->slot ? " · slot {$job->slot}" : '' }}</span>
<span class="turn">@if ($before)<a href="?stone={{ $before->id }}" data-key="ArrowLeft" aria-label="The stone before: {{ $before->title }}">←</a>@endif @if ($after)<a href="?stone={{ $after->id }}" data-key="ArrowRight" aria-label="The stone after: {{ $after->title }}">→</a>@endif</span></div>
@if ($takeBack && $mayWork)
<form method="post" action="/jobs/{{ $job->id }}/steps/{{ $takeBack->step }}/take-back" class="take-back" data-gone-at="{{ $takeBack->at + \Cobblestone\Runbook\Progress::TAKE_BACK }}">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><span><b>{{ $progress->plan->step($takeBack->step)?->title }}</b> is done.</span> <button class="btn small" data-key="u">Take back <kbd>u</kbd> <b class="clock" data-until="{{ $takeBack->at + \Cobblestone\Runbook\Progress::TAKE_BACK }}"></b></button></form>
@endif
@if ($ahead)<p class="further">Further on, <a href="?stone={{ $ahead->step->id }}">{{ $ahead->step->title }}</a>: {{ $ahead->words }}{{ $ahead->more > 0 ? " And {$ahead->more} more." : '' }}</p>@endif
<section class="stone-card {{ $state->value }} {{ $step->isOneWay() ? 'one-way' : '' }}" data-space="{{ $open && ! $step->isOneWay() && $step->evidence === [] && $state !== \Cobblestone\Runbook\StepState::Trouble ? 'done' : ($open && $step->evidence !== [] ? 'evidence' : 'no') }}">
<div class="card-head"><h1>{{ $step->title }}</h1>
<div class="timer">@if ($started && ! $closed)<b class="clock" data-since="{{ $started }}" data-likely="{{ $step->time->likely->seconds }}" data-high="{{ $step->time->high->seconds }}">0:00</b><small>expected {{ $step->time->likely->label() }} · worry after {{ $step->time->high->label() }}</small>@else<small>{{ $closed ? ($state === \Cobblestone\Runbook\StepState::Waived ? 'fell away with a waiver' : 'laid') : 'about '.$step->time->likely->label() }}</small>@endif</div></div>
<p class="meta">{{ $step->presence->title() }}{{ $step->isOneWay() ? ' · one-way' : '' }}{{ ($needs = array_diff($step->needs, ['hands'])) ? ' · needs '.implode(', ', $needs) : '' }}{{ ($tries = $progress->tries($step)) > 1 ? " · try {$tries}" : '' }}</p>
@if ($progress->isOverdue($step, $now))
<div class="overdue" role="status"><b>Longer than it should.</b> {{ $step->waiting ? 'Usual is: '.implode('; ', $step->waiting->usual).'. Next: '.$step->waiting->nextTest : 'Look what is holding it up; note a problem if something is wrong.' }}</div>
@elseif ($step->waiting && ! $closed && $started)
<p class="normal"><b>Is this normal?</b> Usual: {{ implode('; ', $step->waiting->usual) }}.{{ $step->waiting->restarts ? " Restarts: {$step->waiting->restarts}." : '' }}</p>
@endif
@if (($trouble = $progress->trouble($step)) !== null)<div class="wrong trouble"><b>Problem:</b> {{ $trouble }}
@if ($step->waiting)<br><b>Next test:</b> {{ $step->waiting->nextTest }}@endif</div>@endif
@if ($symptoms !== [])<details class="is-normal" @if ($trouble !== null || $progress->isOverdue($step, $now)) open @endif><summary>Is this normal? {{ count($symptoms) }} {{ count($symptoms) === 1 ? 'thing' : 'things' }} seen at this stone before</summary>@foreach ($symptoms as $symptom)@include('parts.symptom')@endforeach</details>@endif
@if ($core)<div class="run-split"><div>@include('parts.step')</div><div class="run-core">@include('parts.core')</div></div>@else
@include('parts.step')
@if ($sequence)@include('parts.presses')@endif
@endif
@error('step')<p class="wrong" role="alert">{{ $message }}</p>@enderror
@if (! $open)@include('run.written')@endif
@if ($mayWork && ! $closed)
@if ($missing !== [])<p class="waits"><b>You can read this ahead.</b> It starts when {{ implode(', and ', array_map(\Cobblestone\Runbook\PathFact::spoken(...), $missing)) }}.</p>@endif
@include('run.shut')
@if ($starts !== [])@include('run.starts')@endif
@if ($open)
@if ($confirm)
@php($c = $step->confirmation)
<form method="post" action="{{ $action('confirm') }}" class="strip">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<p class="strip-what"><b>{{ $c->device }}</b>, <span title="{{ number_format($c->bytes, 0, '.', ' ') }} B">{{ number_format($c->bytes, 0, '.', ' ') }} bytes</span>@if ($c->serial), serial <code>{{ \Cobblestone\Runbook\Confirmation::mask($c->serial) }}</code>@endif<br>Lost for {{ $c->forWhom }}: <b>{{ $c->loses }}</b>. This cannot be undone.</p>
@if ($c->typed)<label for="serial">Last four of the serial, as read from the drive itself</label><input id="serial" name="serial" class="form-control mono serial" maxlength="12" autocomplete="off" autocapitalize="characters" spellcheck="false" required data-key="g">@include('parts.error', ['field' => 'serial'])
<span class="form-label">Where it was read</span><div class="choices">@foreach (\Cobblestone\Runbook\Confirmation::READ_FROM as $value => $words)<label><input type="radio" name="read_from" value="{{ $value }}" @checked(old('read_from') === $value) required> {{ $words }}</label>@endforeach</div>@include('parts.error', ['field' => 'read_from'])
@elseif (! $c->serial)<p>It names no serial of its own: compare size, model and contents once more, with every other drive out.</p>@endif
<button class="btn stop" {{ $c->typed ? '' : 'data-key=g' }}>{{ $c->typed ? 'It is this drive: begin' : 'Yes, this one: begin' }} {{ $c->typed ? '' : '' }}<kbd>{{ $c->typed ? 'Enter' : 'g' }}</kbd></button></form>
@elseif ($step->evidence !== [] && $state !== \Cobblestone\Runbook\StepState::Trouble)
@include('run.evidence', ['for' => $step, 'button' => 'Done'])
@endif
<div class="acts">
@if ($state === \Cobblestone\Runbook\StepState::Trouble)
<form method="post" action="{{ $action('retry') }}">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><button class="btn go" data-key="t">Try again <kbd>t</kbd></button></form>
@elseif (! $confirm)
@if ($step->evidence === [])<form method="post" action="{{ $action('done') }}" id="done">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">@include('run.quick')<button class="btn go" {{ $step->isOneWay() ? 'autofocus' : '' }}>Done @unless ($step->isOneWay())<kbd>space</kbd>@else<kbd>Enter</kbd>@endunless</button></form>@endif
@if ($step->presence !== \Cobblestone\Runbook\Presence::Hands && ! $progress->isAway($step))<form method="post" action="{{ $action('walk') }}">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><button class="btn walk" data-key="w">{{ $step->presence === \Cobblestone\Runbook\Presence::StayNear ? 'It runs, I stay near' : "I'm walking away" }} <kbd>w</kbd></button></form>
@elseif (! $started)<form method="post" action="{{ $action('start') }}">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><button class="btn" data-key="s">Start the clock <kbd>s</kbd></button></form>@endif
@endif
@unless ($confirm)<button class="btn" type="button" data-opens="problem" data-key="p">Problem <kbd>p</kbd></button>@endunless
<button class="btn" type="button" data-opens="note" data-key="n">Note <kbd>n</kbd></button><button class="btn" type="button" data-opens="because" data-key="b">Because <kbd>b</kbd></button>
</div>
@else<div class="acts"><button class="btn" type="button" data-opens="note" data-key="n">Note <kbd>n</kbd></button><button class="btn" type="button" data-opens="because" data-key="b">Because <kbd>b</kbd></button></div>@endif
<form method="post" action="{{ $action('problem') }}" class="words" id="problem" hidden>@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><label for="problem-text">What is wrong? What is seen, in a few words</label><textarea id="problem-text" name="text" class="form-control" rows="2" maxlength="4000" required></textarea><button class="btn stop">Note the problem</button></form>
@else<div class="acts">@if ($mayWork)<button class="btn" type="button" data-opens="note" data-key="n">Note <kbd>n</kbd></button>@endif<button class="btn" type="button" data-opens="because" data-key="b">Because <kbd>b</kbd></button>@if ($progress->isComplete())<a class="btn go" href="/jobs/{{ $job->id }}/handover">Handover sheet</a>@elseif ($current && $current->id !== $step->id)<a class="btn go" href="/jobs/{{ $job->id }}/run">To the stone that is next</a>@endif</div>@endif
@if ($mayWork)<form method="post" action="{{ $action('note') }}" class="words" id="note" hidden>@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><label for="note-text">Note</label><textarea id="note-text" name="text" class="form-control" rows="2" maxlength="4000" required>{{ old('text') }}</textarea><button class="btn">Keep the note</button></form>@endif
@error('text')<p class="wrong" role="alert">{{ $message }}</p>@enderror
@error('role')<p class="wrong" role="alert">{{ $message }}</p>@enderror
<aside id="because" class="because" hidden><h2>Because</h2>@include('parts.because')</aside>
</section>
@if ($next !== [])<div class="next-stones"><span>then</span>@foreach (array_slice($next, 0, 2) as $ahead)<a href="?stone={{ $ahead->id }}">{{ $ahead->title }} <small>{{ $ahead->presence->title() }}, {{ $ahead->time->likely->label() }}</small></a>@endforeach</div>@endif
@if ($others !== [])<div class="else"><b>What else needs hands</b><ul>@foreach (array_slice($others, 0, 4) as $item)<li><a href="/jobs/{{ $item['job'] }}/run?stone={{ $item['step'] }}">{{ $item['slot'] === null ? '' : "Slot {$item['slot']}, " }}{{ $item['title'] }}</a>: @words($item['action'])</li>@endforeach</ul></div>@endif
@endsection
