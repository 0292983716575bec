@extends('layout')
@section('title', 'Key shown')
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">this showing is in the log</span></header>
<section class="panel"><h2>{{ \App\Models\SealedKey::KINDS[$key->kind] ?? $key->kind }}: {{ $key->label }}</h2>
<p class="mono shown-key">{{ $key->opened() }}</p>
<p class="fine">The page forgets it when you leave. Do not photograph it.</p><div class="acts">
<a class="btn go" href="/jobs/{{ $job->id }}/keys">Hide it again</a></div></section>
@endsection
