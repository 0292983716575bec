@extends('layout')
@section('title', "Ways in, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">ways into {{ $machine->title }}</span></header>
@include('jobs.tabs', ['tab' => 'settings'])
@include('jobs.firmware-nav', ['here' => 'ways-in', 'updates' => false])
@php($mayWork = auth()->user()->mayWork())
@php($model = $machine->model?->id)
@php($shown = 0)
@foreach (['menu' => ['One-time menu', 'the list of devices', 'First choice: it leaves nothing to put back.'], 'setup' => ['Setup', 'the setup', 'Only where a setting has to change.'], 'recovery' => ['Recovery', 'the recovery page', '']] as $which => [$name, $reaches, $when])
@php($way = $ways[$which])
@continue($way->ranking === [])
@php($shown++)
<section class="panel way-in" aria-labelledby="way-{{ $which }}"><h2 id="way-{{ $which }}">{{ $name }} <span class="toward">{{ $when }}</span></h2>
@php($best = $way->ranking[0])
@include('parts.presses', ['sequence' => \Cobblestone\Firmware\PressSequence::of($best->way)])
<p class="src">{{ ucfirst($way->source) }}</p>
<table class="plain stack"><thead><tr><th>way</th><th>known from</th><th class="num">worked</th><th class="num">missed</th><th class="num">sure</th>@if ($mayWork && $model)<th></th>@endif</tr></thead><tbody>
@foreach ($way->ranking as $one)<tr><td><b>{{ $one->way->spoken() }}</b></td><td>{{ ['model' => 'this model', 'maker' => 'its maker', 'kind' => "a usual {$machine->kind->value}"][$one->from] }}</td><td class="num" data-label="worked">{{ $one->worked }}</td><td class="num" data-label="missed">{{ $one->missed }}</td><td class="num" data-label="sure">{{ $one->percent() }} %</td>
@if ($mayWork && $model)<td><form method="post" action="/jobs/{{ $job->id }}/ways-in" class="inline">@csrf<input type="hidden" name="reaches" value="{{ $which }}"><input type="hidden" name="way" value="{{ $one->way->name() }}"><button class="btn small" name="worked" value="yes">It worked</button> <button class="btn small" name="worked" value="no">It did not</button></form></td>@endif</tr>@endforeach</tbody></table>
<p class="fine">Missed the moment? Power fully off, not restart; then earlier.@if ($mayWork && $model) Every try on this page is counted.@endif</p></section>
@endforeach
@if ($recovery !== null && $recovery->sequence !== [])
@php($shown++)
<section class="panel way-in" aria-labelledby="way-cable"><h2 id="way-cable">Recovery over a cable <span class="toward">{{ $recovery->cable }} · helper at least {{ $recovery->helperMinimum }}</span></h2>
@include('parts.presses', ['sequence' => \Cobblestone\Firmware\PressSequence::ofMoves($recovery->sequence)])
@php($side = $recovery->portId !== null ? \App\Drawing\PortDrawing::of($machine->kind, $machine->model->ports, $recovery->portId) : null)
@if ($side)@include('parts.port', ['caption' => "Cable into this socket: {$recovery->port}, seen from {$recovery->seenFrom}. A charging-only cable carries no data."])@else<p>Cable into {{ $recovery->port ?? 'the socket the maker names' }}{{ $recovery->seenFrom !== null ? ", seen from {$recovery->seenFrom}" : '' }}.</p>@endif
<p class="fine">At most three tries; then cable and socket are checked again.</p></section>
@endif
@if ($port !== null && $machine->kind->value !== 'sealed')
@php($side = \App\Drawing\PortDrawing::of($machine->kind, $machine->model->ports ?? [], $port->id))
<section class="panel"><h2>Where the stick goes</h2>@if ($side)@include('parts.port', ['caption' => ucfirst($port->connector).", {$port->where}, as one faces the {$side->side} side".($port->charges ? '. The charger shares this kind of socket.' : '.')])@else<p>{{ ucfirst($port->connector) }}, {{ $port->where }}. Nobody has written down which side that is as one faces it.</p>@endif
<p class="fine">Not listed there? Another socket on the board itself, no hub{{ $machine->kind === \Cobblestone\Machine\Kind::Desktop ? ', no front socket' : '' }}.</p></section>
@endif
@if ($shown === 0)<section class="panel"><h2>No way in is known</h2><p>Nobody has described how this machine is entered. Note what works on the step, and keep it for the model.</p></section>@endif
@endsection
