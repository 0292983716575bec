@extends('layout')
@section('title', "Where {$title} starts")
@section('content')
<header class="head">
<h1>Where {{ $title }} starts</h1>
<span class="goal">
<a href="{{ $back }}">back to it</a> · its first sectors and loaders as they are now,
against every model with the settings it comes with
</span>
</header>
@include('sticks.started-here')
@if (! $isThere)
<x-panel title="It is not there">
<p>The stick is not plugged in, so nothing can be read from it.</p>
</x-panel>
@endif
@foreach ($rows as $row)
<section class="panel crossing {{ $row->succeeds ? 'comes-through' : 'fails' }}">
<h2>
<a href="/catalogue/machines/{{ $row->id }}">{{ $row->title }}</a> <span class="toward">{{ $row->end() }}</span>
</h2>
@if ($row->started !== null)
<p class="started"><a href="/starts/{{ $row->started->start->id }}">Started here</a>,
{!! \App\View\Words::time($row->started->start->created_at) !!}: <b>{{ $row->started->startedHere() }}</b>.
{{ $row->started->verdict() }}</p>
@endif
@include('parts.crossing', [
    'stones' => $row->stones,
    'reached' => $row->succeeds,
    'seed' => "{$title}-{$row->id}",
    'bank' => 'it starts',
])
@unless ($row->succeeds)
<div class="beneath">
<p>{{ $row->cause() }}</p>
<dl>
<dt>you see</dt><dd>{{ $row->seen() }}</dd>
<dt>cheapest way out</dt><dd><b>{{ $row->fix() }}</b></dd>
</dl>
</div>
@endunless
@if ($row->dependsOn() !== '')
<p class="or">{{ $row->dependsOn() }}</p>
@endif
@if ($row->otherwise() !== [])
<p class="or">
@foreach ($row->otherwise() as $other)
With {{ $other['with'] }} <b>{{ $other['value'] }}</b>: {{ $other['end'] }}.
@endforeach
</p>
@endif
<div class="foot">
<span class="ground">{{ $row->ground() }}</span>
<details>
<summary>Stone by stone</summary>
<table class="plain">
<tbody>
@foreach ($row->stones as $stone)
<tr>
<td>{{ $stone->name }}</td><td class="{{ $stone->holds ? '' : 'bad' }}">{{ $stone->holds ? 'holds' : 'missing' }}</td>
<td>{{ $stone->words }}</td>
</tr>
@endforeach
</tbody>
</table>
</details>
</div>
</section>
@endforeach
@endsection
