@extends('layout')
@section('title', $entry->name)
@section('content')
<header class="head"><h1>{{ $entry->name }}</h1><span class="goal">{{ rtrim($entry->kind, 's') }} · {{ $entry->slug }}</span><a class="btn ms-auto" href="/catalogue">Catalogue</a></header>
<section class="panel"><pre class="mono doc">{{ $yaml }}</pre></section>
@endsection
