@extends('layout')
@section('title', 'Learned on jobs')
@section('content')
<header class="head"><h1>Learned on jobs</h1>
<span class="goal">{{ $incidents->toLookAt($facts->count()) }} to look at</span></header>
@include('parts.error', ['field' => 'decision'])
@if ($facts->isEmpty())
<div class="panel empty">
<p><b>{{ $incidents->told === [] ? 'Nothing waits for you.' : 'No fact waits for you.' }}</b></p>
<p>On a job's intake page a fact that was found can be kept for its model; it then stands here.</p></div>
@else
<section class="panel"><div class="table-responsive" tabindex="0"><table class="plain"><thead><tr><th>model</th>
<th>fact</th><th>value</th><th>from</th><th></th></tr></thead><tbody>
@foreach ($facts as $fact)
<tr><td><a href="/catalogue/machines/{{ $fact->model }}">{{ $fact->model }}</a></td>
<td class="mono">{{ $fact->fact }}</td><td>{{ $fact->value }}</td>
<td class="fine">{{ $fact->origin }} · {{ $fact->user->title }}, <a href="/jobs/{{ $fact->job_id }}">job
{{ sprintf('%04d', $fact->job_id) }}</a></td>
<td>
@if (auth()->user()->isLead())
<form method="post" action="/learned/{{ $fact->id }}" class="d-inline">
@csrf
<button class="btn small" name="decision"
 value="taken">{{ $fact->mayEnterCatalogue() ? 'Into the catalogue' : 'Noted' }}</button>
<button class="btn small" name="decision" value="let-go">Let go</button></form>
@endif
</td></tr>
@endforeach
</tbody></table></div></section>@endif
@include('catalogue.incidents')
@endsection
