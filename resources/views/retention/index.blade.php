@extends('layout')
@section('title', 'Retention')
@section('content')
<header class="head"><h1>How long contents are kept</h1>
<span class="goal">after a hand-over; when their time is over they are due, and the Bench says so</span></header>
@if (session('did') === 'saved')<p class="saved" role="status">Saved.</p>@endif
@if (session('removed') !== null)
<p class="saved" role="status">{{ session('removed') }} {{ session('removed') === 1 ? 'job' : 'jobs' }}: removed, and
on record.</p>
@endif
@include('parts.error', ['field' => 'up_to'])
@foreach ($due as $kind => $jobs)
@if ($jobs->isNotEmpty())
<section class="panel stop-panel"><h2>Due: {{ \App\Retention\RetentionDays::KINDS[$kind][0] }}</h2>
<ul>
@foreach ($jobs->take($listed) as $job)
<li>
<a href="/jobs/{{ $job->id }}">{{ sprintf('%04d', $job->id) }}</a> {{ $job->title }} <span class="fine">handed over
{!! \App\View\Words::time($job->handed_over_at) !!}</span></li>
@endforeach
@if ($more[$kind] > 0)
<li>and {{ $more[$kind] }} more</li>
@endif
</ul>
@if ($kind === 'backups')
<p><a class="btn small" href="/deletions">Delete them, each with its evidence</a></p>
@else
<form method="post" action="/retention/delete">
@csrf
<input type="hidden" name="kind" value="{{ $kind }}">
<input type="hidden" name="up_to" value="{{ $jobs->last()->id }}">
<div class="acts">
<button class="btn stop">Remove for good <span class="one-way">one-way</span></button>
</div></form>
@endif
</section>
@endif
@endforeach
@if (collect($due)->every(fn ($jobs) => $jobs->isEmpty()))
<section class="panel empty"><p><b>Nothing is due.</b></p></section>
@endif
<form method="post" action="/retention" class="panel">
@csrf
<input type="hidden" name="as_seen" value="{{ $days->version() }}"><h2>Days</h2>
@include('parts.error', ['field' => 'retention'])
<div class="table-responsive" tabindex="0"><table class="plain"><tbody>
@foreach (\App\Retention\RetentionDays::KINDS as $kind => [$what, $default, $most])
<tr><td><label for="d-{{ $kind }}">{{ ucfirst($what) }}</label>
@include('parts.error', ['field' => $kind])
</td><td>
<input id="d-{{ $kind }}" name="{{ $kind }}" class="form-control mono" inputmode="numeric" size="5" maxlength="5"
 value="{{ old($kind, $days->days[$kind]) }}">
</td><td class="fine">days; usually {{ $default }}</td></tr>
@endforeach
</tbody></table></div><div class="acts"><button class="btn go">Save</button></div></form>
<section class="panel"><h2>On record</h2>@include('parts.bench-events')</section>
@endsection
