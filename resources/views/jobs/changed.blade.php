@extends('layout')
@section('title', 'Changed meanwhile')
@section('content')
<header class="head"><h1>{{ $job->title }}</h1></header>
<section class="panel stop-panel" role="alert"><h2>Somebody was here before you</h2>
<p>This job changed while you were looking at it. Nothing of yours was stored, and nothing of theirs was overwritten.
Since your page was made:</p>
<ul>
@foreach ($entries as $entry)
<li>
<b>{{ $entry->user->title }}</b> {!! \App\View\Words::time($entry->created_at) !!}:
{{ \App\View\LogLine::text($entry) }} <span
 class="fine">{{ implode(' · ', \App\View\LogLine::details($entry)) }}</span></li>
@endforeach
</ul>
@if ($typed !== [])
<h2>What you had typed</h2><dl class="typed">
@foreach ($typed as $field => $value)
<dt>{{ $field }}</dt><dd>{{ $value }}</dd>
@endforeach
</dl>
@endif
<div class="acts"><a class="btn go" href="/jobs/{{ $job->id }}/run">See where the job is now</a></div></section>
@endsection
