@extends('layout')
@section('title', "Stick, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">stick</span></header>
@include('jobs.tabs', ['tab' => 'stick'])
@if (session('said'))
<div class="panel holds-panel" role="status"><p>{{ session('said') }}</p></div>
@endif
@include('parts.error', ['field' => 'stick'])
@includeWhen($collect !== null, 'jobs.stick-collect')
@includeWhen($files !== null, 'jobs.stick-files')
@if ($page->wanted === null && $files === null && $collect === null)
<x-panel title="No stick"><p>The path of this job needs none.</p></x-panel>
@elseif ($page->wanted !== null)
<div class="cols">
<x-panel title="What it has to carry">
<dl class="findings">
@foreach ($page->carries() as $what => $which)
<dt>{{ $what }}</dt>
<dd>{{ $which }}</dd>
@endforeach
</dl>
@if ($page->lacksDrivers())
<p><a href="/jobs/{{ $job->id }}/drivers">Unpack the drivers</a></p>
@endif
@include('jobs.stick-images')
</x-panel>
<x-panel title="Ready to take">
@forelse ($page->ready() as $one)
<div class="ready-stick">
<p><a href="/sticks/{{ $one->stick->id }}"><b>{{ $one->stick->name }}</b></a> is exactly what this job wants:
{{ $one->condition->title() }}.</p>
@if ($page->laid)
<p class="fine">Its stones are laid.</p>
@elseif ($page->mayWork)
<x-act :to="'/jobs/'.$job->id.'/stick'" :seen="$job->last_entry">
<input type="hidden" name="stick" value="{{ $one->stick->id }}">
<button class="btn go" @if ($loop->first) data-key="g" @endif>Take it, and lay its stones
@if ($loop->first)
<kbd>g</kbd>
@endif
</button>
</x-act>
@endif
</div>
@empty
<p>No stick of the register is what this job wants as it is.</p>
@endforelse
@if ($build)
<p class="fine">Last built for this job: <a href="/sticks/{{ $build->slug }}/builds/{{ $build->id }}">build
{{ $build->id }}, {{ $build->state }}</a></p>
@endif
</x-panel>
</div>
@if ($page->ready() === [])
@include('jobs.stick-make')
@else
<details class="more" @if ($errors->any() || $page->asked) open @endif><summary>Make another</summary>
@include('jobs.stick-make')
</details>
@endif
@include('jobs.stick-others')
@endif
@endsection
