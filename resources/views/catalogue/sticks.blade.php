@extends('layout')
@section('title', 'Sticks')
@section('content')
<header class="head"><h1>Sticks</h1><span class="goal">{{ $sticks->count() }} in the register</span></header>
@if ($sticks->isEmpty())<div class="panel empty"><p><b>No stick is registered.</b></p><p>A path then asks for any stick of the right size. Register sticks as files in the catalogue's folder <code>sticks</code>.</p></div>@else
<div class="panel table-responsive"><table class="plain list"><thead><tr><th>stick</th><th>serial</th><th class="num">size</th><th>plug</th><th class="num">writes</th><th class="num">reads</th><th>health</th><th>contents</th></tr></thead><tbody>
@foreach ($sticks as $entry)@php($stick = new \Cobblestone\Catalogue\Stick($entry->document))
<tr><td><a href="/catalogue/sticks/{{ $entry->slug }}">{{ $stick->name }}</a></td><td class="mono">{{ $stick->serial() ?? 'none' }}</td><td class="num" title="{{ $stick->size()->exact() }}">{{ $stick->size()->decimal() }} · {{ $stick->size()->binary() }}</td><td>{{ $stick->connector() }}</td><td class="num">{{ $stick->writeRate()->label() }}</td><td class="num">{{ $stick->readRate()->label() }}</td><td>{{ $stick->health() }}</td><td>{{ $stick->contents() ?? 'not known' }}{{ $stick->contentsMayGo() ? '' : ' · must stay' }}</td></tr>@endforeach
</tbody></table></div>@endif
@endsection
