@extends('layout')
@section('title', $stick->name)
@section('content')
<header class="head">
<h1>{{ $stick->name }}</h1><span class="goal mono">{{ $stick->serial ?? 'no serial' }}</span>
<span class="sum"><b class="c-{{ $page->condition->value }}">{{ $page->condition->title() }}</b></span>
</header>
@if (session('said'))
<div class="panel holds-panel" role="status"><p>{{ session('said') }}</p></div>
@endif
@include('parts.error', ['field' => 'check'])
@if ($page->build?->isUnderWay())
<div class="panel">
<p>
<b class="hands">{{ $page->build->stage }}</b> ·
<a href="/sticks/{{ $slug }}/builds/{{ $page->build->id }}">see how far it is</a>
</p>
</div>
@endif
<div class="cols">
<section class="panel">
<h2>What is on it</h2>
@if ($page->isProven())
<p class="lead-in"><b>{{ $page->title() }}</b></p>
<dl class="findings">
<dt>Image</dt>
<dd><span class="mono">{{ $page->image() }}</span><br><span class="fine mono">{{ $page->checksum() }}</span></dd>
<dt>How</dt>
<dd>{{ $page->isRaw() ? 'written raw' : 'files copied' }}@if ($page->label() !== ''), label
<span class="mono">{{ $page->label() }}</span>@endif</dd>
<dt>Proven</dt>
<dd>{{ $page->files() }}, <x-size :of="$page->writtenBytes()"/>, read back past the cache and equal</dd>
@if ($page->drivers() > 0)
<dt>Drivers</dt><dd>{{ $page->drivers() }} files</dd>
@endif
<dt>When</dt><dd>{{ $page->when() }}</dd>
</dl>
@elseif ($page->isByHand())
<p><b>{{ $page->title() }}</b>. Whoever did it says that it was read back and is equal; nothing of it was compared
here.</p>
@elseif ($page->title() !== '')
<p><b>{{ $page->title() }}</b> was begun and is not proven. Do not start a machine from it.</p>
@else
<p>{{ $page->registered() }}</p>
@endif
@if ($page->isSpoiled())
<div class="stop-box"><b>Changed since it was proven.</b> Something wrote to it. Build it again.</div>
@endif
@if ($page->gone)
<div class="stop-box">
<b>It is not there.</b> It vanished while it was written, and stays unfinished.
@if ($mayWork)
<x-act :to="'/sticks/'.$slug.'/replug'" class="mt-1"><button class="btn small">Plugged in again</button></x-act>
@endif
</div>
@endif
@if ($kept !== null)
@foreach ($kept->jobs as $wants)
<p><b>{{ $loop->first ? 'Kept for' : 'Waits for it:' }}</b>
<a href="/jobs/{{ $wants['id'] }}">{{ $wants['title'] }}</a>
@if ($loop->first)
until <i>{{ $wants['until'] }}</i> is laid
@endif
</p>
@endforeach
@endif
<p class="fine">
<span title="{{ $stick->size()->exact() }}">{{ $stick->size()->decimal() }} · {{ $stick->size()->binary() }}</span> ·
{{ $page->stated() }}
</p>
<div class="acts">
@if ($page->takesLabel())
<a class="btn" href="/sticks/{{ $slug }}/label" data-key="l">Label <kbd>l</kbd></a>
@endif
<a class="btn" href="/sticks/{{ $slug }}/starts">Where it starts</a>
@if ($page->build)
<a class="btn" href="/sticks/{{ $slug }}/builds/{{ $page->build->id }}">Last build</a>
@endif
@if ($mayWork && $page->isFree())
<x-act :to="'/sticks/'.$slug.'/check'">
<button class="btn" data-key="t">Check its true size <kbd>t</kbd></button>
</x-act>
@endif
</div>
@if ($mayWork && $page->mayBeBuilt() && $images !== [])
<h3>Build it anew from</h3>
<ul class="from">
@foreach ($images as $image)
<li>
<a href="/shelf/{{ $image->id }}/ways?stick={{ $slug }}">{{ $image->title() }}</a>
@if ($image->inspected()?->isDamaged())
· damaged
@endif
</li>
@endforeach
</ul>
@endif
</section>
<section class="panel">@include('parts.core')</section>
</div>
<div class="cols">
<section class="panel">
<h2>Measured speed</h2>
@if ($speed)
@include('sticks.speed')
<p class="fine">MB/s, one mark a build. Pebbles: writing. Slabs: reading back. {{ $page->learned() }}</p>
@else
<p class="fine">Nothing was measured on it yet: that takes a build of a megabyte or more.</p>
@endif
</section>
<section class="panel">
<h2>History</h2>
@forelse ($page->events() as $event)
@if ($loop->first)
<ul class="events">
@endif
<li>
<b>{{ $event['what'] }}</b>{{ $event['title'] }} <span class="fine">{!! $event['at'] !!}{{ $event['by'] }}</span>
@if ($event['details'] !== '')
<br><span class="fine">{{ $event['details'] }}</span>
@endif
</li>
@if ($loop->last)
</ul>
@endif
@empty
<p class="fine">Nothing happened to it here yet.</p>
@endforelse
@includeWhen($mayWork, 'sticks.trouble')
</section>
</div>
@endsection
