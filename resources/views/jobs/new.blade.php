@extends('layout')
@section('title', 'New job')
@section('content')
<header class="head">
<h1>New job</h1><span class="goal">machine, what goes on it, what kind of job</span>
</header>
<form method="post" action="/jobs" class="panel intake">
@csrf
@if ($again !== null)
<input type="hidden" name="again" value="{{ $again->id }}">
<p class="notice">
The machine of <a href="/jobs/{{ $again->id }}">job {{ sprintf('%04d', $again->id) }}</a>, and whose it is.
What stood on it then, its settings and its drives are read anew.
</p>
@endif
@include('jobs.form', ['gentlerAt' => '/jobs/gentler'])
<div class="acts">
<button class="btn go">Show the path <kbd>Enter</kbd></button>
<span class="fine">Only machine and image are needed. The rest can follow when a rule asks for it.</span>
</div>
</form>
@endsection
