@extends('layout')
@section('title', $job->title)
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">its contents were removed</span></header>
<section class="panel">
<p>What was written down in this job was removed {!! \App\View\Words::time($job->owner_removed_at) !!}. That it was,
and when, stays: the log's chain of hashes is whole.</p>
<p>Taken in {!! \App\View\Words::time($job->created_at) !!}@if ($job->handed_over_at !== null)
, handed over {!! \App\View\Words::time($job->handed_over_at) !!}@endif
, {{ $job->revision }} {{ $job->revision === 1 ? 'path' : 'paths' }}, {{ $many }} entries.</p></section>
<section class="panel"><h2>Entries</h2><ol class="log">
@foreach ($entries as $entry)
<li><span class="when">{!! \App\View\Words::time($entry->created_at) !!}</span>
<div>{{ \App\View\LogLine::text($entry) }} <span class="fine">{{ $entry->role }}</span></div></li>
@endforeach
</ol></section>
@endsection
