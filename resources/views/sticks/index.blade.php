@extends('layout')
@section('title', 'Sticks')
@section('content')
<header class="head">
<h1>Sticks</h1>
<span class="goal">{{ count($rows) }} {{ $query === '' ? 'in the register' : 'match' }}</span>
<a class="btn ms-auto" href="/erasures" data-key="e">Erase a drive <kbd>e</kbd></a>
<a class="btn" href="/sticks/what" data-key="w">What is this stick? <kbd>w</kbd></a>
</header>
<form class="search" action="/sticks" role="search">
<input class="form-control" name="q" value="{{ $query }}" placeholder="name, serial, label, what is on it"
 aria-label="Search the sticks">
<button class="btn">Search</button>
</form>
@if ($rows === [])
<div class="panel empty">
@if ($query === '')
<p><b>No stick is registered.</b></p>
<p>
A path then asks for any stick of the right size.
Register sticks as files in the catalogue's folder sticks.
</p>
@else
<p><b>No stick matches.</b></p>
<p>Try a part of the serial or of what is on it.</p>
@endif
</div>
@else
<ul class="rack">
@foreach ($rows as $row)
<li class="panel stick-card {{ $row->condition->value }}">
<a href="/sticks/{{ $row->stick->id }}"><b class="name">{{ $row->stick->name }}</b>
<span class="mono serial-line">{{ $row->stick->serial ?? 'no serial' }}</span></a>
<p class="on">
@if ($row->build)
<b class="hands">{{ $row->building() }}</b>:
<a href="/sticks/{{ $row->stick->id }}/builds/{{ $row->build->id }}">{{ $row->buildTitle() }}</a>
@else
{{ $row->contents() }}
@endif
</p>
<p class="cond">
<b class="c-{{ $row->condition->value }}">{{ $row->condition->title() }}</b>
@unless ($row->stick->contentsMayGo)
· <b>its contents must stay</b>
@endunless
</p>
@if ($row->stick->keptFor !== null)
<p class="kept">kept for {{ $row->stick->keptFor }}</p>
@endif
<p class="fine">
<span title="{{ $row->stick->size()->exact() }}">
{{ $row->stick->size()->decimal() }} · {{ $row->stick->size()->binary() }}</span> · {{ $row->rates() }}
</p>
</li>
@endforeach
</ul>
@endif
@endsection
