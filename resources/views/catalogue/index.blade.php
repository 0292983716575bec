@extends('layout')
@section('title', 'Catalogue')
@section('content')
<header class="head"><h1>Catalogue</h1>
<span class="goal">what the bench knows; changed with <code>php artisan cobblestone:catalogue
import</code></span></header>
<div class="cols even">
@foreach ($kinds as $kind)
<section class="panel"><h2>{{ ucfirst($kind) }}</h2>
@forelse ($entries[$kind] ?? [] as $entry)
<p>
<a href="/catalogue/{{ $kind }}/{{ $entry->slug }}">{{ $entry->name }}</a> <span class="fine">as of
{{ $entry->dated() }}</span></p>
@empty
<p class="fine">None yet. A job can be planned without.</p>
@endforelse
</section>
@endforeach
</div>
@endsection
