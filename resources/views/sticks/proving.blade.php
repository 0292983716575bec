@extends('layout')
@section('title', "{$line->start->title}, started here")
@section('content')
<header class="head">
<h1>{{ $line->start->title }}</h1>
<span class="goal">started here · <a href="{{ $line->back() }}">where it starts</a></span>
</header>
<div id="proving" @if ($line->isUnderWay()) hx-get="/starts/{{ $line->start->id }}" hx-trigger="every 1s"
 hx-target="this" hx-select="#proving" hx-swap="outerHTML" hx-select-oob="unset" @endif>
<div class="cols">
<section class="panel {{ $line->mood() }}" aria-live="polite">
<h2>{{ $line->heading() }}</h2>
<dl class="findings">
<dt>Machine</dt>
<dd>{{ $line->machine() }}. {{ $line->keys() }}<br><span class="fine">{{ $line->parts()->words() }}
@if ($line->parts()->before() !== null)
<a href="/starts/{{ $line->parts()->before() }}">The start before</a>
@endif
</span></dd>
<dt>Predicted</dt>
<dd>{{ $line->predicted() }}</dd>
<dt>Started here</dt>
<dd><b>{{ $line->startedHere() }}</b>
@if ($line->time() !== '')
<span class="mono fine">{{ $line->time() }}</span>
@endif
</dd>
@if ($line->parts()->onDrive() !== [])
<dt>On its drive</dt>
<dd>
@foreach ($line->parts()->onDrive() as $what)
<span class="one-line">{{ $what }}</span><br>
@endforeach
</dd>
@endif
<dt>Begun by</dt>
<dd>{{ $line->start->user->title }}, {!! \App\View\Words::time($line->start->created_at) !!}</dd>
</dl>
@if ($line->verdict() !== '')
<p>{{ $line->verdict() }}</p>
@endif
@if ($line->isUnderWay())
<p class="fine">You can leave this page or load it again: the machine goes on. The medium is not written.</p>
@if ($mayWork)
<x-act :to="'/starts/'.$line->start->id.'/stop'">
<button class="btn stop" data-key="c">Stop <kbd>c</kbd></button>
</x-act>
@endif
@endif
@if ($line->parts()->mayGoOn() && $mayWork)
<x-act :to="'/starts/'.$line->start->id.'/next'">
<button class="btn" data-key="n">{{ $line->parts()->nextWord() }} <kbd>n</kbd></button>
</x-act>
@endif
@include('parts.error', ['field' => 'as'])
@if ($line->isDone())
<p class="fine">{{ $line->unchanged() }} A real machine may do otherwise. Not emulated are:</p>
<ul class="fine">
@foreach ($line::NOT_EMULATED as $what)
<li>{{ $what }}</li>
@endforeach
</ul>
@endif
</section>
<section class="panel">
<h2>What it shows</h2>
@if ($line->picture() !== '')
<img class="emulated" src="{{ $line->picture() }}" alt="The last picture of the emulated machine">
@else
<p class="fine">No picture yet.</p>
@endif
</section>
</div>
@if ($line->printed() !== '')
<section class="panel">
<h2>What it printed</h2>
<pre class="printed" tabindex="0">{{ $line->printed() }}</pre>
</section>
@endif
</div>
@endsection
