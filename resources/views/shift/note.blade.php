@extends('layout')
@section('title', 'Shift note')
@section('page-class', 'paper')
@section('content')
<div class="sheet">
<header><div><b>Shift note</b><br>{{ $page->from() }}</div><div class="num">{{ $page->by() }}</div></header>
@if ($page->words() !== '')
<p><b>For whoever comes next:</b> {{ $page->words() }}</p>
@endif
@if ($page->isEmpty())
<p>Nothing was done, and no job was open.</p>
@else
@include('shift.jobs')
@endif
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button>
<a class="btn" href="/shift">Shift note of now</a></div>
@endsection
