@extends('layout')
@section('title', 'Find')
@section('content')
<header class="head"><h1>Find</h1></header>
<form method="get" action="/find" class="search" role="search">
<label for="q" class="visually-hidden">Words to find</label>
<input id="q" name="q" class="form-control" value="{{ $query }}" autofocus
 placeholder="what is seen, a job's title or number, a model, a stick, an image, a driver" maxlength="100">
<button class="btn go">Find</button></form>
@if ($query !== '')
@if ($symptoms !== [])
<section class="panel"><h2>Is this normal?</h2>
@foreach ($symptoms as $symptom)
@include('parts.symptom')
@endforeach
</section>
@endif
<div class="cols even"><section class="panel"><h2>Jobs</h2>
@forelse ($jobs as $job)
<p>
<a href="/jobs/{{ $job->id }}">{{ $job->title }}</a> <span class="fine">job {{ sprintf('%04d', $job->id) }},
{{ $job->isOpen() ? 'open' : 'handed over' }}</span></p>
@empty
<p class="fine">No job carries these words.</p>
@endforelse
</section>
@if ($sticks->isNotEmpty() || $shelf->isNotEmpty())
<section class="panel"><h2>Sticks and shelf</h2>
@foreach ($sticks as $state)
<p>
<a href="/sticks/{{ $state->slug }}">{{ $state->slug }}</a>
{{ $state->said('title') }}{{ $state->said('label') === '' ? '' : ", label {$state->said('label')}" }}
<span class="fine">{{ $state->condition->title() }}</span></p>
@endforeach
@foreach ($shelf as $file)
<p><a href="/shelf/{{ $file->id }}">{{ $file->title() }}</a> <span class="fine mono">{{ $file->name }}</span></p>
@endforeach
</section>
@endif
<section class="panel"><h2>Catalogue</h2>
@forelse ($entries as $entry)
<p>
<a href="/catalogue/{{ $entry->kind }}/{{ $entry->slug }}">{{ $entry->name }}</a> <span
 class="fine">{{ rtrim($entry->kind, 's') }}</span></p>
@empty
<p class="fine">Nothing in the catalogue carries these words.</p>
@endforelse
</section></div>
@endif
@endsection
