@extends('layout')
@section('title', "Log of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">log, newest first; it only grows</span></header>
@include("jobs.tabs", ["tab" => "log"])
<section class="panel"><ol class="log">@foreach ($entries as $entry)<li class="{{ $entry->kind }}"><span class="when">{!! \App\View\Words::time($entry->created_at) !!}</span><div><b>{{ \App\View\LogLine::text($entry, $titles) }}</b> <span class="fine">{{ $entry->user->title }}</span>@foreach (\App\View\LogLine::details($entry) as $detail)<br><span class="fine">{{ $detail }}</span>@endforeach</div></li>@endforeach</ol>
{{ $entries->links('parts.pages') }}</section>
@endsection
