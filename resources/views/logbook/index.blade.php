@extends('layout')
@section('title', 'Logbook')
@section('content')
<header class="head"><h1>Logbook</h1><span class="goal">what happened on the bench, newest first</span></header>
<section class="panel">@if ($entries->isEmpty())<p>Nothing has happened yet. Every action on a job is written down here.</p>@endif
<ol class="log">@foreach ($entries as $entry)<li class="{{ $entry->kind }}"><span class="when">{!! \App\View\Words::time($entry->created_at) !!}</span><div><a href="/jobs/{{ $entry->job_id }}/log">{{ $entry->job->title }}</a> <b>{{ \App\View\LogLine::text($entry) }}</b> <span class="fine">{{ $entry->user->title }}</span>@if (isset($entry->data['text']))<br><span class="fine">{{ $entry->data['text'] }}</span>@endif</div></li>@endforeach</ol>
{{ $entries->links('parts.pages') }}</section>
@endsection
