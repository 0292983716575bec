@extends('layout')
@section('title', 'Shift note')
@section('content')
<header class="head"><h1>Shift note</h1><span class="goal">{{ $page->from() }}</span></header>
@if ($page->isEmpty())
<div class="panel empty"><p><b>Nothing was done, and no job is open.</b></p></div>
@else
<section class="panel">@include('shift.jobs')</section>
@endif
@if (auth()->user()->mayWork())
<form method="post" action="/shift" class="panel">
@csrf
<input type="hidden" name="since" value="{{ $page->since?->id }}">
<label class="form-label" for="words">For whoever comes next</label>
<textarea id="words" name="words" class="form-control" rows="3" maxlength="2000">{{ old('words') }}</textarea>
@include('parts.error', ['field' => 'words'])
<div class="acts"><button class="btn go">Keep this note</button>
<span class="fine">What is above is kept with it; the next note begins here.</span></div>
</form>
@endif
@if ($earlier->isNotEmpty())
<section class="panel"><h2>Earlier notes</h2>
<ul class="plain">
@foreach ($earlier as $note)
<li><a href="/shift/{{ $note->id }}">{!! \App\View\Words::time($note->created_at) !!}</a>,
{{ $note->user?->title ?? 'nobody' }}</li>
@endforeach
</ul>
</section>
@endif
@endsection
