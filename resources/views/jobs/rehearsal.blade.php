@extends('layout')
@section('title', "Rehearsal of {$job->title}")
@section('content')
@php($p = $progress->plan)
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">rehearsal: every power-on of this path, before the button is pressed</span></header>
@include('jobs.tabs', ['tab' => 'rehearsal'])
@error('outcome')<p class="wrong" role="alert">{{ $message }}</p>@enderror
@if ($starts === [])
<section class="panel"><h2>No power-on to rehearse</h2><p>{{ ! $p->job->kind->rules()->hasMachine() ? 'This job ends with the stick. On a kind of firmware it does this:' : 'This path was computed before paths were rehearsed, or none of its steps starts the machine. Change anything on the intake page and it is computed anew.' }}</p>
@if (($p->assessment['kinds'] ?? []) !== [])<table class="plain"><thead><tr><th>firmware</th><th>the stick</th><th>because</th></tr></thead><tbody>@foreach ($p->assessment['kinds'] as $row)<tr><td>{{ $row['title'] }}</td><td><b class="{{ $row['starts'] ? 'holds' : 'bad' }}">{{ ucfirst($row['words']) }}</b></td><td class="fine">{{ $row['because'] }}</td></tr>@endforeach</tbody></table>@endif</section>
@else
<p class="lead-line">@if ($head->fails > 0)<b class="bad">{{ $head->fails }} of {{ $head->of }} would not end where you want to be.</b> @endif @if ($head->hang > 0)<b class="hands">{{ $head->hang }} of {{ $head->of }} {{ $head->hang === 1 ? 'hangs' : 'hang' }} on something nobody has looked at.</b> @endif @if ($head->through === $head->of && $head->otherwise === 0)<b class="holds">All {{ $head->of }} come through.</b> @elseif ($head->through > 0)<b class="holds">{{ $head->through }} {{ $head->through === 1 ? 'comes' : 'come' }} through.</b> @endif @if ($head->otherwise > 0)<b class="bad">{{ $head->otherwise }} went otherwise at the machine.</b> @endif<span class="fine">{{ $head->looked === 0 ? 'Nobody has said yet what was seen at one of them.' : "{$head->looked} of {$head->of} were looked at." }} The last one is with everything put back.</span></p>
@foreach ($starts as $start)
@php($outcome = \Cobblestone\Boot\Model\Outcome::from($start['outcome']))
@php($wants = \Cobblestone\Runbook\Wants::from($start['wants']))
@php($seenHere = $bySeat->get("{$start['step']} {$start['number']}") ?? collect())
@if ($wants === \Cobblestone\Runbook\Wants::Setup)<p class="into-setup"><a href="/jobs/{{ $job->id }}?stone={{ $start['step'] }}">{{ $start['title'] }}</a>: into the setup, by its key. <a href="/jobs/{{ $job->id }}/ways-in">How</a></p>
@continue
@endif
<section class="panel crossing {{ $start['succeeds'] ? 'comes-through' : 'fails' }}" id="start-{{ $loop->iteration }}" aria-labelledby="start-{{ $loop->iteration }}-title">
<h2 id="start-{{ $loop->iteration }}-title"><a href="/jobs/{{ $job->id }}?stone={{ $start['step'] }}">{{ $start['title'] }}</a> <span class="toward">to {{ $wants->title() }}</span></h2>
@include('parts.crossing', ['seed' => "{$job->id}-{$start['step']}-{$start['number']}", 'bank' => $wants->title()])
@php($again = ! $start['succeeds'] && ($told ?? null) === $start['sentence'])
@php($told = $start['succeeds'] ? null : $start['sentence'])
@if ($again)<p class="beneath">The same once more: {{ lcfirst($outcome->title()) }}.</p>@elseif (! $start['succeeds'])
<div class="beneath"><p><b>{{ ucfirst($outcome->title()) }}.</b> {{ $start['cause'] }}</p><dl><dt>you see</dt><dd>{{ $start['seen'] }}</dd>@if ($start['fix'] !== '')<dt>cheapest way out</dt><dd><b>{{ $start['fix'] }}</b>@if ($start['who'] !== 'technician') <span class="fine">takes the {{ $start['who'] }}</span>@endif</dd>@endif</dl>
@if ($start['blocks'])<p class="gate-line shut">This holds the stone back until it is settled, or overruled in writing in run mode.</p>@endif</div>
@endif
@if ($start['settled_by'] !== null)<p class="or">It can also end in: {{ implode(', or ', array_map(fn ($one) => \Cobblestone\Boot\Model\Outcome::from($one)->title(), array_values(array_diff($start['possible'], [$start['outcome']])))) }}. What settles it: <b>{{ \App\View\Words::fact($start['settled_by']) }}</b>. @if (preg_match('/^(loader|legacy)/', $start['settled_by']) === 1)<a href="/shelf">Have the image inspected</a>@else<a href="/jobs/{{ $job->id }}/settings">Look and record</a>@endif</p>@endif
@if ($start['otherwise'] !== [])<ul class="or">@foreach ($start['otherwise'] as $other)<li>If {{ \App\View\Words::fact($other['fact']) }} is <b>{{ $other['value'] }}</b> after all: {{ \Cobblestone\Boot\Model\Outcome::from($other['outcome'])->title() }}.</li>@endforeach</ul>@endif
<div class="foot"><span class="ground">Ground: {{ \Cobblestone\Boot\Model\Ground::from($start['ground'])->title($start['times']) }}@foreach ($seenHere as $one) · <b class="{{ ! $one->looked ? '' : ($one->seen === $one->predicted ? 'holds' : 'bad') }}">{{ ! $one->looked ? 'nothing said against it' : ($one->seen === $one->predicted ? 'went as predicted' : 'went otherwise: '.\Cobblestone\Boot\Model\Outcome::from($one->seen)->title()) }}</b> <span class="fine">{{ $one->user->title }}, {!! \App\View\Words::time($one->created_at) !!}</span>@endforeach</span>
<details><summary>Stone by stone</summary><table class="plain"><tbody>@foreach ($start['stones'] as $stone)<tr><td>{{ $stone['name'] }}</td><td class="{{ $stone['holds'] ? '' : 'bad' }}">{{ $stone['holds'] ? 'holds' : 'missing' }}</td><td>{{ $stone['words'] }}</td></tr>@endforeach @foreach ($start['passed'] as $passed)<tr><td>tried before</td><td class="bad">left</td><td>{{ $passed['title'] }} {{ $passed['words'] }}</td></tr>@endforeach</tbody></table></details>
@if (auth()->user()->mayWork() && $job->isOpen())
<form method="post" action="/jobs/{{ $job->id }}/rehearsal" class="inline">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><input type="hidden" name="step" value="{{ $start['step'] }}"><input type="hidden" name="number" value="{{ $start['number'] }}"><input type="hidden" name="outcome" value="{{ $start['outcome'] }}"><button class="btn small" name="of" value="as-predicted">It went so</button></form>
<details class="otherwise"><summary>It went otherwise</summary><p class="fine">What happened?@if ($p->job->model !== null) “This time” keeps it for this job; “this model does that” keeps it for every {{ $p->job->machine }}.@endif</p>
<ul>@foreach (\Cobblestone\Boot\Reality::choices($wants, $outcome, array_map(\Cobblestone\Boot\Model\Outcome::from(...), $start['possible'])) as $choice)
<li><span><b>{{ ucfirst($choice->title()) }}</b><br><span class="fine">{{ $choice->seen() }}</span></span>
<form method="post" action="/jobs/{{ $job->id }}/rehearsal">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><input type="hidden" name="step" value="{{ $start['step'] }}"><input type="hidden" name="number" value="{{ $start['number'] }}"><input type="hidden" name="outcome" value="{{ $choice->value }}">
<button class="btn small" name="of" value="this-time">This time</button>@if ($p->job->model !== null) <button class="btn small" name="of" value="model">This model does that</button>@endif</form></li>@endforeach</ul></details>
@endif</div>
</section>
@endforeach
@endif
@if ($observations->isNotEmpty())<section class="panel"><h2>Prediction against reality</h2><div class="table-responsive" tabindex="0"><table class="plain stack"><thead><tr><th>when</th><th>step</th><th>predicted</th><th>seen</th><th>by</th></tr></thead><tbody>@foreach ($observations as $one)<tr><td>{!! \App\View\Words::time($one->created_at) !!}</td><td>{{ $p->step($one->step)->title ?? $one->step }}</td><td>{{ \Cobblestone\Boot\Model\Outcome::from($one->predicted)->title() }}</td><td class="{{ ! $one->looked || $one->seen === $one->predicted ? '' : 'bad' }}">{{ ! $one->looked ? 'laid; nothing said against it' : ($one->seen === $one->predicted ? 'the same' : \Cobblestone\Boot\Model\Outcome::from($one->seen)->title()) }}{{ $one->of_model ? ' · kept for the model' : '' }}</td><td class="fine">{{ $one->user->title }}</td></tr>@endforeach</tbody></table></div></section>@endif
@endsection
