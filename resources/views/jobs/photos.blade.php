@extends('layout')
@section('title', "Photos of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">photos</span></header>
@include('jobs.tabs', ['tab' => 'log'])
@if ($mayWork)
<section class="panel" aria-labelledby="take-title"><h2 id="take-title">Take one</h2>
<p class="fine">Draw over what must not be kept: faces, names, anything on a screen. It is blackened before the photo is
kept. Never a key, never a password.</p>
<form method="post" action="/jobs/{{ $job->id }}/photos" enctype="multipart/form-data" data-blackout hx-boost="false">
@csrf
<input type="hidden" name="black" value="">
<div class="row g-2">
<div class="col-md-6"><label class="form-label" for="photo">Photo</label>
<input id="photo" type="file" name="photo" accept="image/jpeg,image/png,image/webp" capture="environment"
 class="form-control">
@include('parts.error', ['field' => 'photo'])</div>
<div class="col-md-6"><label class="form-label" for="step">At the stone</label>
<select id="step" name="step" class="form-select">
@foreach ($titles as $id => $title)
<option value="{{ $id }}" @selected(old('step', $stone) === $id)>{{ $title }}</option>
@endforeach
</select>
@include('parts.error', ['field' => 'step'])</div>
<div class="col-12"><label class="form-label" for="words">What is seen on it</label>
<input id="words" name="words" class="form-control" maxlength="120" value="{{ old('words') }}">
@include('parts.error', ['field' => 'words'])</div>
</div>
<canvas class="blackout" hidden aria-label="The photo; draw over what must not be kept"></canvas>
<p><button type="button" class="btn small" data-take-back hidden>Take the last area back</button></p>
<label class="check"><input type="checkbox" name="on_sheet" value="yes" @checked(old('on_sheet') === 'yes')> The owner
agreed that it is printed on the sheet</label>
<button class="btn go mt-2">Keep it</button>
</form>
</section>
@endif
@if ($photos === [])
<section class="panel empty"><p><b>No photo was taken on this job.</b></p></section>
@else
<ul class="inside photos">
@foreach ($photos as $photo)
<li><a href="/jobs/{{ $job->id }}/photos/{{ $photo->id }}" hx-boost="false">
<img src="/jobs/{{ $job->id }}/photos/{{ $photo->id }}" alt="{{ $photo->words }}" loading="lazy"></a>
<span>{{ $photo->words }}<br><span class="fine">{{ $titles[$photo->step] ?? 'a stone that is gone' }},
{{ $photo->user->title }}, {!! \App\View\Words::time($photo->created_at) !!}
@if ($photo->blackened > 0)
, blackened
@endif
@if ($photo->on_sheet)
, on the sheet
@endif
</span></span>
@if ($mayWork)
<form method="post" action="/jobs/{{ $job->id }}/photos/{{ $photo->id }}/remove">@csrf
<button class="plain">take away</button></form>
@endif
</li>
@endforeach
</ul>
@endif
@endsection
