@extends('layout')
@section('title', "Receipt of {$job->title}")
@section('content')
<div class="panel empty">
@if ($takesIn)
<p><b>It is not taken in yet.</b></p>
<p>A receipt says what was written down at <a href="/jobs/{{ $job->id }}/run?stone=intake.take-in">Take in</a>.</p>
@else
<p><b>This job takes no machine in.</b></p>
<p><a href="/jobs/{{ $job->id }}">Back to the job</a></p>
@endif
</div>
@endsection
