@extends('layout')
@section('title', $entry->name)
@section('content')
<header class="head"><h1>{{ $entry->name }}</h1>
<span class="goal">{{ rtrim($entry->kind, 's') }} · {{ $entry->slug }}</span><a class="btn ms-auto"
 href="/catalogue">Catalogue</a></header>
@if ($quirks !== [])
<section class="panel"><h2>Seen on this model</h2><ul>
@foreach ($quirks as $quirk)
<li>On the way to {{ $quirk->wants->title() }}: predicted “{{ $quirk->predicted->title() }}”, seen
“{{ $quirk->seen->title() }}”, {{ $quirk->times === 1 ? 'once' : "{$quirk->times} times" }}. Every rehearsal on this
model goes by it.</li>
@endforeach
</ul></section>
@endif
<section class="panel"><pre class="mono doc">{{ $yaml }}</pre></section>
@endsection
