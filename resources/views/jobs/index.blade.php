@extends('layout')
@section('title', 'Jobs')
@section('keys', 'n=/jobs/new')
@section('content')
<header class="head">
<h1>Jobs</h1>
@if ($many !== null)
<span class="goal">{{ $many }}</span>
@endif
<span class="ms-auto"></span>
@include('parts.new-job')
</header>
<form method="get" action="/jobs" class="search">
<label for="q" class="visually-hidden">Search jobs</label>
<input id="q" name="q" class="form-control" value="{{ $query }}" placeholder="words of the title" maxlength="100">
<button class="btn">Search</button>
</form>
@if ($jobs->isEmpty())
<div class="panel empty">
<p><b>{{ $query === '' ? 'There are no jobs yet.' : 'No job carries these words.' }}</b></p>
</div>
@else
<div class="table-responsive" tabindex="0">
<table class="plain list">
<thead>
<tr>
<th class="num">job</th><th>machine and goal</th><th class="num">slot</th>
<th>where</th><th>taken in by</th><th>when</th>
</tr>
</thead>
<tbody>
@foreach ($jobs as $job)
<tr>
<td class="num">{{ $job->number }}</td>
<td><a href="/jobs/{{ $job->job }}">{{ $job->title }}</a></td>
<td class="num">{{ $job->slot ?? '–' }}</td>
<td>{{ $job->where }}</td>
<td>{{ $job->by }}</td>
<td>{!! $job->taken !!}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
{{ $jobs->links('parts.pages') }}
@endif
@endsection
