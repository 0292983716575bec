@extends('layout')
@section('title', "Ways in, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">ways into {{ $page->machine->title }}</span></header>
@include('jobs.tabs', ['tab' => 'settings'])
@include('jobs.firmware-nav', ['here' => 'ways-in', 'updates' => false])
@foreach ($page->ways() as $one)
@include('jobs.way-in', $one)
@endforeach
@if ($page->cable() !== null)
<section class="panel way-in" aria-labelledby="way-cable">
<h2 id="way-cable">Recovery over a cable <span class="toward">{{ $page->cable() }}</span></h2>
@include('parts.presses', ['presses' => $page->cablePresses()])
@if ($page->cableSide() !== null)
@include('parts.port', ['side' => $page->cableSide(), 'caption' => $page->cableCaption()])
@else
<p>{{ $page->cableCaption() }}</p>
@endif
<p class="fine">At most three tries; then cable and socket are checked again.</p>
</section>
@endif
@if ($page->takesStick())
<section class="panel">
<h2>Where the stick goes</h2>
@if ($page->stickSide() !== null)
@include('parts.port', ['side' => $page->stickSide(), 'caption' => $page->stickCaption()])
@else
<p>{{ $page->stickCaption() }}</p>
@endif
<p class="fine">{{ $page->notListed() }}</p>
</section>
@endif
@if ($page->isEmpty())
<section class="panel">
<h2>No way in is known</h2>
<p>Nobody has described how this machine is entered. Note what works on the step, and keep it for the model.</p>
</section>
@endif
@endsection
