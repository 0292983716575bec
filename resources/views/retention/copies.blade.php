@extends('layout')
@section('title', 'Copies to delete')
@section('content')
<header class="head"><h1>Copies to delete</h1>
<span class="goal">owners' files, on the day that was agreed</span></header>
@if (session('gone') !== null)
<p class="saved" role="status">Job {{ sprintf('%04d', session('gone')) }}: on record that its copy is gone.</p>
@endif
@forelse ($copies as $copy)
<section class="panel" aria-labelledby="copy-{{ $copy->job->id }}">
<h2 id="copy-{{ $copy->job->id }}">{{ $copy->sentence() }}</h2>
<ol>
@foreach ($copy->step->instructions as $line)
<li>@words($line)</li>
@endforeach
</ol>
<x-act :to="'/deletions/'.$copy->job->id" class="evidence">
<input type="hidden" name="of" value="{{ $copy->job->id }}">
<div class="row g-2">
@foreach (\App\View\EvidenceField::alone($copy->step, old('of') === (string) $copy->job->id ? (array) old('evidence')
    : []) as $field)
<div class="{{ $field->width() }}">
@include("run.field.{$field->control()}", ['wanted' => $field->wanted])
@if (old('of') === (string) $copy->job->id)
@include('parts.error', ['field' => $field->wanted->id])
@endif
</div>
@endforeach
</div>
<button class="btn stop mt-2">It is gone <span class="one-way">one-way</span></button>
</x-act>
</section>
@empty
<section class="panel empty"><p><b>No copy has to be deleted today.</b></p>
<p>The day is agreed at the hand-over; when it comes, the copy shows here and on the Bench.</p></section>
@endforelse
@endsection
