@extends('layout')
@section('title', 'Jobs')
@section('keys', 'n=/jobs/new')
@section('content')
<header class="head"><h1>Jobs</h1><span class="goal">{{ $jobs->total() }}</span>@if (auth()->user()->mayWork())<a class="btn go ms-auto" href="/jobs/new" data-key="n">New job <kbd>n</kbd></a>@endif</header>
<form method="get" action="/jobs" class="search"><label for="q" class="visually-hidden">Search jobs</label><input id="q" name="q" class="form-control" value="{{ $query }}" placeholder="words of the title" maxlength="100"><button class="btn">Search</button></form>
@if ($jobs->isEmpty())<div class="panel empty"><p><b>{{ $query === '' ? 'There are no jobs yet.' : 'No job carries these words.' }}</b></p></div>@else
<div class="table-responsive" tabindex="0"><table class="plain list"><thead><tr><th class="num">job</th><th>machine and goal</th><th class="num">slot</th><th>where</th><th>taken in by</th><th>when</th></tr></thead><tbody>
@foreach ($jobs as $job)<tr><td class="num">{{ sprintf('%04d', $job->id) }}</td><td><a href="/jobs/{{ $job->id }}">{{ $job->title }}</a></td><td class="num">{{ $job->slot ?? '–' }}</td><td>{{ $job->isOpen() ? "{$job->summary['done']} of {$job->summary['total']}".($job->summary['current'] ? ' · '.$job->summary['current']['title'] : '') : 'handed over' }}</td><td>{{ $job->user->title }}</td><td>{!! \App\View\Words::time($job->created_at) !!}</td></tr>@endforeach
</tbody></table></div>
{{ $jobs->links('parts.pages') }}
@endif
@endsection
