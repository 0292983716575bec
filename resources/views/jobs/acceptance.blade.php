@extends('layout')
@section('title', "Proof, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">the finished machine</span></header>
@include('jobs.tabs', ['tab' => 'acceptance'])
@if ($page->table === null)
<x-panel title="Nothing to read">
<p>This kind of job ends without a machine on the bench: nothing is read and compared.</p>
</x-panel>
@else
@includeWhen($page->mayWork, 'jobs.acceptance-read')
<x-panel title="What it is against what it should be">
<p><b>{{ $page::sentence($page->table) }}</b>
<a href="/jobs/{{ $job->id }}/acceptance/rows.csv">Take the rows away as CSV</a></p>
@foreach ($page->remarks as $remark)
<p class="wrong">{{ $remark }}</p>
@endforeach
@include('parts.left-out')
@include('jobs.acceptance-unsettled')
@include('jobs.acceptance-held')
@include('jobs.acceptance-gone')
</x-panel>
@include('jobs.acceptance-difference')
@endif
@endsection
