@extends('layout')
@section('title', "Log of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">log, newest first; it only grows</span></header>
@include("jobs.tabs", ["tab" => "log"])
<p class="fine"><a href="/jobs/{{ $job->id }}/photos">Photos of this job</a>. Take the log away as
<a href="/jobs/{{ $job->id }}/log.csv" hx-boost="false">CSV</a> or
<a href="/jobs/{{ $job->id }}/log.json" hx-boost="false">JSON</a>.</p>
<section class="panel"><ol class="log">
@foreach ($entries as $entry)
<li class="{{ $entry->kind }}"><span class="when">{!! \App\View\Words::time($entry->created_at) !!}</span><div>
<b>{{ \App\View\LogLine::text($entry, $titles) }}</b> <span
 class="fine">{{ $entry->user->title }}</span>@foreach (\App\View\LogLine::details($entry) as $detail)
<br><span class="fine">{{ $detail }}</span>@endforeach
</div></li>
@endforeach
</ol>
{{ $entries->links('parts.pages') }}</section>
@if (auth()->user()->isLead())
<details class="panel" @if ($errors->any()) open @endif><summary>
<b>The owner's data</b> <span class="fine">give it out, or remove it at the owner's request</span></summary>
<p class="mt-2">
<a class="btn small" href="/jobs/{{ $job->id }}/data.json" hx-boost="false">Everything kept of this job, as a file</a>
<span class="fine">on record; no sealed key is in it</span></p>
@if (! $job->isOpen())
<form method="post" action="/jobs/{{ $job->id }}/forget" hx-boost="false">
@csrf
<div class="row g-2"><div class="col-md-7">
<label class="form-label" for="because">Who asked for it to be removed</label>
<input id="because" name="because" class="form-control" maxlength="300" value="{{ old('because') }}">
@include('parts.error', ['field' => 'because'])
</div><div class="col-md-5"><label class="form-label" for="number">The number of this job, typed</label>
<input id="number" name="number" class="form-control mono" inputmode="numeric" maxlength="10">
@include('parts.error', ['field' => 'number'])
</div></div><div class="acts"><button class="btn stop">Remove for good <span class="one-way">one-way</span></button>
</div></form>
@else
<p class="fine">It can be removed once the machine is handed over.</p>
@endif
</details>
@endif
@endsection
