@extends('layout')
@section('title', 'What is this stick?')
@section('content')
<header class="head"><h1>What is this stick?</h1>
<span class="goal">by what is printed on it, or read from it</span></header>
<form class="panel" action="/sticks/what" role="search">
<label class="form-label" for="said">Its serial or the end of it, its name, the label of its volume, or what the code on
its label says</label>
<textarea id="said" name="said" class="form-control mono" rows="2" maxlength="600" autofocus
 spellcheck="false">{{ $said }}</textarea>
<button class="btn go mt-2">What is it?</button>
</form>
<form class="panel" method="post" action="/sticks/what" enctype="multipart/form-data">
@csrf
<label class="form-label" for="start">Or the first part of it, as
<code>head -c 2M /dev/DEVICE &gt; start.bin</code> reads it</label>
<input id="start" name="start" type="file" class="form-control" required>
@include('parts.error', ['field' => 'start'])
<button class="btn mt-2">What is it?</button>
</form>
@if (($said !== '' || $read) && $found === [])
<div class="panel empty">
<p><b>No stick of the register answers to that.</b></p>
<p>Its contents may go only when somebody has looked: it may be the owner's. A serial is read by
<code>lsblk -b -o NAME,SIZE,SERIAL</code>, from four signs of its end on.</p>
</div>
@endif
@foreach ($found as $one)
<section class="panel {{ $one->mood() }}">
<h2><a href="/sticks/{{ $one->stick->id }}">{{ $one->stick->name }}</a>
<span class="toward">{{ $one->condition->title() }}</span></h2>
<dl class="findings">
<dt>Known by</dt><dd>{{ $one->by }}</dd>
<dt>On it</dt><dd>{{ $one->contents() }}
@if ($one->built() !== '')
<span class="fine">proven {{ $one->built() }}</span>
@endif
</dd>
@if ($one->jobs !== [])
<dt>Wanted by</dt>
<dd>
@foreach ($one->jobs as $id => $title)
<a href="/jobs/{{ $id }}">{{ $title }}</a>@if (! $loop->last),
@endif
@endforeach
</dd>
@endif
<dt>What it starts</dt><dd><a href="/sticks/{{ $one->stick->id }}/starts">against every model, or started here</a></dd>
</dl>
@if ($one->older)
<p><b>The code on its label is not of what is on record.</b> Print its label anew.</p>
@endif
@unless ($one->stick->contentsMayGo)
<p><b>Its contents must stay.</b></p>
@endunless
</section>
@endforeach
@endsection
