@extends('layout')
@section('title', 'Sticks')
@section('content')
<header class="head"><h1>Sticks</h1><span class="goal">{{ count($rows) }} {{ $query === '' ? 'in the register' : 'match' }}</span></header>
<form class="search" action="/sticks" role="search"><input class="form-control" name="q" value="{{ $query }}" placeholder="name, serial, label, what is on it" aria-label="Search the sticks"><button class="btn">Search</button></form>
@if ($rows === [])<div class="panel empty"><p><b>{{ $query === '' ? 'No stick is registered.' : 'No stick matches.' }}</b></p><p>{{ $query === '' ? 'A path then asks for any stick of the right size. Register sticks as files in the catalogue\'s folder sticks.' : 'Try a part of the serial or of what is on it.' }}</p></div>@else
<ul class="rack">
@foreach ($rows as $slug => $row)@php($stick = $row['stick'])@php($build = $builds[$slug] ?? null)
<li class="panel stick-card {{ $row['condition']->value }}"><a href="/sticks/{{ $slug }}"><b class="name">{{ $stick->name }}</b> <span class="mono serial-line">{{ $stick->serial ?? 'no serial' }}</span></a>
<p class="on">@if ($build)<b class="hands">{{ $build->state === 'queued' ? 'waits to be built' : 'being built' }}</b>: <a href="/sticks/{{ $slug }}/builds/{{ $build->id }}">{{ $build->plan['title'] }}</a>@else{{ $row['state']->content['title'] ?? $stick->contents ?? 'contents not known' }}@endif</p>
<p class="cond"><b class="c-{{ $row['condition']->value }}">{{ $row['condition']->title() }}</b>@unless ($stick->contentsMayGo) · <b>its contents must stay</b>@endunless</p>
<p class="fine"><span title="{{ $stick->size()->exact() }}">{{ $stick->size()->decimal() }} · {{ $stick->size()->binary() }}</span> · {{ strtoupper($stick->connector) }} · writes {{ $stick->writeRate()->label() }}, reads {{ $stick->readRate()->label() }}{{ $stick->health === 'good' ? '' : " · {$stick->health}" }}</p></li>
@endforeach
</ul>@endif
@endsection
