@extends('layout')
@section('title', 'What the logbook teaches')
@section('content')
<header class="head"><h1>What the logbook teaches</h1><span class="goal">the last twelve months</span>
<a class="btn ms-auto" href="/logbook">Logbook</a></header>
<section class="panel" aria-labelledby="lost-title"><h2 id="lost-title">Minutes lost</h2>
@if ($page->isEmpty())
<p>No problem was noted in twelve months. A problem that is noted at a stone counts from then until the stone goes on.
</p>
@else
<p>{{ $page->sentence() }} <a href="/logbook/figures/troubles.csv" hx-boost="false">As CSV</a></p>
@include('logbook.month-stones', ['drawing' => $page->drawing()])
<table class="plain stack">
<thead><tr><th>what was seen</th><th>what was the cause</th><th class="num">times</th><th class="num">minutes</th></tr>
</thead>
<tbody>
@foreach ($page->causes() as $row)
<tr><td>{{ $row['symptom'] }}</td><td data-label="what was the cause">{{ $row['cause'] }}</td>
<td class="num" data-label="times">{{ $row['many'] }}</td>
<td class="num" data-label="minutes">{{ $row['minutes'] }}</td></tr>
@endforeach
</tbody>
</table>
<h3>Where it happened</h3>
<table class="plain stack">
<thead><tr><th></th><th></th><th class="num">times</th><th class="num">minutes</th></tr></thead>
<tbody>
@foreach ($page->where() as [$kind, $which, $many, $minutes])
<tr><td class="fine">{{ $kind }}</td><td>{{ $which }}</td><td class="num" data-label="times">{{ $many }}</td>
<td class="num" data-label="minutes">{{ $minutes }}</td></tr>
@endforeach
</tbody>
</table>
@endif
</section>
@foreach ($page::TITLES as $table => $title)
<section class="panel"><h2>{{ $title }}</h2>
@if ($page->rows($table) === [])
<p>Nothing yet.</p>
@else
<p class="fine">{{ $page::NOTES[$table] ?? '' }}</p>
<table class="plain stack">
<thead><tr>
@foreach ($page::TABLES[$table] as $head)
<th>{{ $head }}</th>
@endforeach
</tr></thead>
<tbody>
@foreach ($page->rows($table) as $row)
<tr>
@foreach ($row as $place => $cell)
<td data-label="{{ $page::TABLES[$table][$place] }}">{{ $cell }}</td>
@endforeach
</tr>
@endforeach
</tbody>
</table>
<p><a href="/logbook/figures/{{ $table }}.csv" hx-boost="false">As CSV</a></p>
@endif
</section>
@endforeach
@endsection
