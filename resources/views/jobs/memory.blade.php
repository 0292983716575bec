@extends('layout')
@section('title', "Memory of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">memory sheet</span></header>
@include('jobs.tabs', ['tab' => 'memory'])
@includeWhen($page->sheet !== null, 'jobs.memory-sheet', ['sheet' => $page->sheet])
@if ($mayWork)
<details class="panel more" @if (! $page->sheet || $errors->hasAny(['modules', 'slots', 'spare_gib'])) open @endif>
<summary>{{ $page->sheet ? 'What is fitted' : 'Begin the sheet: what is fitted?' }}</summary>
<x-act :to="'/jobs/'.$job->id.'/memory'" :seen="$job->last_entry">
<div class="row g-3">
<div class="col-md-5">
<label class="form-label" for="modules">Modules and GiB of each</label>
<input id="modules" name="modules" class="form-control mono" placeholder="M1 8, M2 8" value="{{ $page->fitted() }}"
 {{ $page->sheet ? '' : 'autofocus' }}>
@include('parts.error', ['field' => 'modules'])
</div>
<div class="col-md-4">
<label class="form-label" for="slots">Slots, as the board names them</label>
<input id="slots" name="slots" class="form-control mono" placeholder="A1, A2" value="{{ $page->named() }}">
@include('parts.error', ['field' => 'slots'])
</div>
<div class="col-6 col-md-3">
<label class="form-label" for="spare_gib">Module known good, GiB</label>
<input id="spare_gib" name="spare_gib" inputmode="numeric" class="form-control mono" value="{{ $page->spare() }}">
@include('parts.error', ['field' => 'spare_gib'])
</div>
<div class="col-12 choices">
<span class="form-label">Speed when the trouble was seen</span>
<label><input type="radio" name="profile" value="standard" @checked($page->wasAt('standard'))> standard</label>
<label>
<input type="radio" name="profile" value="faster" @checked($page->wasAt('faster'))> a faster profile was on</label>
<label><input type="checkbox" name="soldered" value="1" @checked($page->isSoldered())> soldered</label>
</div>
</div>
<div class="acts">
<button
 class="btn {{ $page->sheet ? '' : 'go' }}">{{ $page->sheet ? 'Change what is fitted' : 'Begin the sheet' }}</button>
</div>
</x-act>
</details>
@endif
@endsection
