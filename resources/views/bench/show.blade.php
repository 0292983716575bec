@extends('layout')
@section('title', 'Bench')
@section('keys', 'n=/jobs/new')
@section('content')
<header class="head">
<h1>Bench</h1><span class="goal">{{ $page->count }}</span>
<a class="btn ms-auto" href="/shift" data-key="t">Shift note <kbd>t</kbd></a>
@include('parts.new-job')
</header>
@if ($page->cards === [])
<div class="panel empty">
<p><b>No machine is on the bench.</b></p>
<p>Take one in with <i>New job</i>: pick its model, and the path is there.</p>
</div>
@endif
@if ($page->copies !== [])
<section class="panel due-copies" aria-label="Copies to delete">
<h2>Copies whose day has come</h2>
<ul>
@foreach ($page->copies as $copy)
<li>{{ $copy }}</li>
@endforeach
</ul>
<p><a class="btn small" href="/deletions">Delete, with evidence</a></p>
</section>
@endif
<ol class="bench">
@foreach ($page->cards as $card)
<li class="panel {{ $card->inTrouble ? 'in-trouble' : '' }}">
<a class="cover" href="/jobs/{{ $card->job }}" aria-label="Open {{ $card->title }}"></a>
<div class="slot">{{ $card->slot ?? '–' }}<small>slot</small></div>
<div class="what"><h2>{{ $card->title }}</h2><p>job {{ $card->number }} · {{ $card->by }}</p></div>
<div class="where">
<div class="steps" role="img" aria-label="{{ $card->done }} of {{ $card->total }} stones laid">
{!! $card->stones() !!}
</div>
<p>
<b>{{ $card->done }}</b> of {{ $card->total }} laid ·
<span class="hands">hands {{ $card->handsLeft }} min</span> ·
<span class="walk">walk away {{ $card->walkLeft }} min</span> left
</p>
</div>
<div class="now">
@foreach ($card->waits as $wait)
<p class="walk"><b class="clock" data-until="{{ $wait['until'] }}"></b> {{ $wait['title'] }}</p>
@endforeach
@if ($card->waitsFor !== null)
<p class="fine"><b>Waits for {{ $card->waitsFor['whom'] }}</b>, since {{ $card->waitsFor['since'] }}</p>
@endif
@if ($card->next !== null)
<p><a class="btn small {{ $card->inTrouble ? 'stop' : '' }}" href="/jobs/{{ $card->job }}/run">{{ $card->next }}</a></p>
@endif
@if ($card->shut !== null)
<p class="verdict {{ $card->shut['class'] }}">{{ $card->shut['words'] }}</p>
@endif
@if ($card->putBack > 0)
<p class="fine">{{ $card->putBack }} to put back</p>
@endif
</div>
</li>
@endforeach
</ol>
@includeWhen($page->keeping !== null, 'bench.keeping', ['keeping' => $page->keeping])
@endsection
