@extends('layout')
@section('title', "Battery, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">hours of battery</span></header>
@include('jobs.tabs', ['tab' => 'install'])
@include('jobs.install-nav', ['here' => 'battery'])
<x-panel title="Hours at a power limit">
@if ($page->fault !== null)
<p class="wrong" role="alert">{{ $page->fault }}</p>
@elseif ($page->missing() !== null)
<p>{{ $page->missing() }}</p>
@else
@if ($page->answer() !== null)
<p><b>{{ $page->answer() }}</b></p>
@endif
@include('jobs.battery-curve', ['drawing' => $page->drawing()])
<p class="fine">It draws {{ $page->ground() }} {{ $page->usable() }}</p>
<table class="plain beside-frames">
<thead><tr><th>limit</th><th class="num">drawn</th><th class="num">lasts</th></tr></thead>
<tbody>
@foreach ($page->rows() as $row)
<tr><td class="mono">{{ $row['limit'] }}</td><td class="num mono">{{ $row['draw'] }}</td><td class="num mono">{{
    $row['hours']
}}</td></tr>
@endforeach
</tbody>
</table>
@endif
</x-panel>
<form method="get" action="/jobs/{{ $job->id }}/battery" class="panel">
<h2>What is asked</h2>
@if ($page->known !== null)
<p class="fine">Known of this machine: {{ $page->known }}.</p>
@endif
<div class="row g-2">
@foreach ($page->fields() as $field)
<div class="col-6 col-md-2"><label class="form-label" for="{{ $field['name'] }}">{{ $field['label'] }}</label>
<input id="{{ $field['name'] }}" name="{{ $field['name'] }}" class="form-control mono" inputmode="decimal"
 maxlength="12" value="{{ $field['value'] }}"></div>
@endforeach
</div>
<button class="btn go mt-3" data-key="g">Work out <kbd>g</kbd></button>
</form>
@if ($page->isLearned())
<x-panel title="Drained">
<table class="plain stack">
<thead><tr><th>limit</th><th>out of the battery</th><th class="num">drawn</th><th></th><th></th></tr></thead>
<tbody>
@foreach ($page->drains() as $row)
<tr><td class="mono" data-label="limit">{{ $row['limit'] }}</td>
<td data-label="out of the battery">{{ $row['drained'] }}</td>
<td class="num mono" data-label="drawn">{{ $row['draw'] }}</td>
<td class="fine">{{ $row['by'] }}, {!! $row['at'] !!}{{ $row['own'] ? '' : ', in another job of this serial' }}</td>
<td>
@if ($page->mayWork && $row['own'])
<x-act :to="'/jobs/'.$job->id.'/battery/'.$row['id'].'/drop'"><button class="btn quiet">Take out</button></x-act>
@endif
</td></tr>
@endforeach
</tbody>
</table>
</x-panel>
@endif
@if ($page->everyday()->mayAgree())
<form method="post" action="/jobs/{{ $job->id }}/battery/everyday" class="panel">
@csrf
<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<h2>For every day</h2>
<p class="fine">What is agreed on with the owner is read on the finished machine, with its other readings.
{{ $page->everyday()->range() }}</p>
<div class="row g-2"><div class="col-6 col-md-3"><label class="form-label" for="everyday">Limit for every day, W</label>
<input id="everyday" name="everyday" class="form-control mono" inputmode="numeric" maxlength="4"
 value="{{ old('everyday', $page->everyday()->proposed()) }}">
@include('parts.error', ['field' => 'everyday'])</div></div>
<button class="btn mt-3">{{ $page->everyday()->button() }}</button>
</form>
@endif
@if ($page->mayWork)
<form method="post" action="/jobs/{{ $job->id }}/battery" class="panel">
@csrf
<h2>Note a drain</h2>
<p class="fine">Run the same work at one limit, off the charger, and read the battery's own watt-hours before and after.
</p>
<div class="row g-2">
<div class="col-6 col-md-2"><label class="form-label" for="limit_w">Limit, W</label>
<input id="limit_w" name="limit_w" class="form-control mono" inputmode="decimal" value="{{ old('limit_w') }}">
@include('parts.error', ['field' => 'limit_w'])</div>
<div class="col-6 col-md-2"><label class="form-label" for="watt_hours">Lost, Wh</label>
<input id="watt_hours" name="watt_hours" class="form-control mono" inputmode="decimal" value="{{ old('watt_hours') }}">
@include('parts.error', ['field' => 'watt_hours'])</div>
<div class="col-6 col-md-2"><label class="form-label" for="minutes">Minutes</label>
<input id="minutes" name="minutes" class="form-control mono" inputmode="decimal" value="{{ old('minutes') }}">
@include('parts.error', ['field' => 'minutes'])</div>
</div>
<button class="btn go mt-3" data-key="n">Note it <kbd>n</kbd></button>
</form>
@endif
@endsection
