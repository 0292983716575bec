@extends('layout')
@section('title', 'Bell')
@section('content')
<header class="head"><h1>Next for your hands</h1></header>
@if ($items === [])
<div class="panel empty"><p><b>Nothing needs hands.</b></p>
<p>This page rings when a wait ends or a stone is ready; leave it open on a second screen.</p></div>
@endif
<ol class="ring-list" hx-get="/bell" hx-trigger="every 20s" hx-select="#page" hx-target="#page">
@foreach ($items as $item)
<li class="panel {{ $item['overdue'] ? 'in-trouble' : '' }}">
<a class="cover" href="/jobs/{{ $item['job'] }}/run?stone={{ $item['step'] }}"
 aria-label="Go to {{ $item['title'] }}"></a>
<b class="clock big" @if ($item['until'] !== null) data-until="{{ $item['until'] }}" @endif>{{
    $item['until'] === null ? 'now' : ''
}}</b>
<div><h2>{{ $item['place'] }}{{ $item['title'] }}</h2><p>
@words($item['action'])
</p></div></li>
@endforeach
</ol>
@endsection
