@extends('layout')
@section('title', "Fetch {$page->image->name}")
@section('content')
<header class="head"><h1>{{ $page->image->name }}</h1><span class="goal">onto the shelf</span>
@if ($page->job !== null)
<a class="btn ms-auto" href="/jobs/{{ $page->job->id }}">{{ $page->job->title }}</a>
@endif
</header>
<div id="fetch" @if ($page->isUnderWay()) hx-get="{{ request()->fullUrl() }}" hx-trigger="every 1s" hx-target="this"
 hx-select="#fetch" hx-swap="outerHTML" hx-select-oob="unset" @endif>
<section class="panel {{ $page->isFault() ? 'stop-panel' : '' }}" aria-live="polite">
<h2>{{ ucfirst($page->state()) }}</h2>
<div class="depth"><progress max="1000" value="{{ $page->thousandths() }}" aria-label="How much has come"></progress>
</div>
<p class="mono figures">{{ $page->figures() }}</p>
<dl class="findings">
<dt>File</dt><dd><span class="mono">{{ $page->image->file }}</span>, <x-size :of="$page->image->bytes"/></dd>
<dt>From</dt><dd>{{ $page->image->source ?? 'its publisher' }}</dd>
<dt>SHA-256</dt><dd class="mono">{{ $page->checksum() }}</dd>
</dl>
@if ($page->isUnderWay())
<p class="fine">You can leave this page: it goes on, and what has come is kept.</p>
@if ($mayWork)
<x-act :to="'/shelf/fetch/'.$page->image->id.'/stop'"><button class="btn stop" data-key="c">Stop <kbd>c</kbd></button>
</x-act>
@endif
@elseif ($page->against() !== '')
<p>{{ $page->against() }}
@if ($page->here !== null)
<a href="/shelf/{{ $page->here->id }}">Look at it</a>
@endif
</p>
@elseif ($mayWork)
<x-act :to="'/shelf/fetch/'.$page->image->id">
<input type="hidden" name="job" value="{{ $page->job?->id }}">
<button class="btn go" data-key="g">{{ $page->button() }} <kbd>g</kbd></button>
</x-act>
@endif
</section>
</div>
@endsection
