@extends('layout')
@section('title', $stick->name)
@section('content')
<header class="head"><h1>{{ $stick->name }}</h1><span class="goal mono">{{ $stick->serial ?? 'no serial' }}</span><span class="sum"><b class="c-{{ $condition->value }}">{{ $condition->title() }}</b></span></header>
@if (session('said'))<div class="panel holds-panel" role="status"><p>{{ session('said') }}</p></div>@endif
@include('parts.error', ['field' => 'check'])
@if ($build?->isUnderWay())<div class="panel"><p><b class="hands">{{ $build->stage }}</b> · <a href="/sticks/{{ $slug }}/builds/{{ $build->id }}">see how far it is</a></p></div>@endif
<div class="cols">
<section class="panel"><h2>What is on it</h2>
@if (isset($c['image']))<p class="lead-in"><b>{{ $c['title'] }}</b></p>
<dl class="findings"><dt>Image</dt><dd><span class="mono">{{ $c['image'] }}</span>@if ($c['image_sha256'])<br><span class="fine mono">{{ substr($c['image_sha256'], 0, 32) }}…</span>@endif</dd>
<dt>How</dt><dd>{{ $c['mode'] === 'raw' ? 'written raw' : 'files copied' }}@if ($c['label']), label <span class="mono">{{ $c['label'] }}</span>@endif</dd>
<dt>Proven</dt><dd>{{ $c['files'] }} {{ $c['mode'] === 'raw' ? 'image' : 'files' }}, <span title="{{ \Cobblestone\Quantity\Bytes::of($c['written_bytes'])->exact() }}">{{ \Cobblestone\Quantity\Bytes::of($c['written_bytes'])->decimal() }}</span>, read back past the cache and equal</dd>
@if ($c['drivers'] > 0)<dt>Drivers</dt><dd>{{ $c['drivers'] }} files</dd>@endif
<dt>When</dt><dd>{{ \App\View\Words::moment($c['built_at']) }}</dd></dl>
@elseif (isset($c['title']))<p><b>{{ $c['title'] }}</b> was begun and is not proven. Do not start a machine from it.</p>
@else<p>{{ $stick->contents === null ? 'Nobody has noted what is on it.' : "The register says: {$stick->contents}." }} Nothing was built here on it yet.</p>@endif
@if ($condition === \Cobblestone\Media\Build\StickCondition::Spoiled)<div class="stop-box"><b>Changed since it was proven.</b> Something wrote to it. Build it again.</div>@endif
@if ($gone)<div class="stop-box"><b>It is not there.</b> It vanished while it was written, and stays unfinished. @if ($mayWork)<form method="post" action="/sticks/{{ $slug }}/replug" class="mt-1">@csrf<button class="btn small">Plugged in again</button></form>@endif</div>@endif
<p class="fine"><span title="{{ $stick->size()->exact() }}">{{ $stick->size()->decimal() }} · {{ $stick->size()->binary() }}</span> · {{ strtoupper($stick->connector) }} · stated {{ $stick->writeRate()->label() }} writing, {{ $stick->readRate()->label() }} reading · {{ $stick->contentsMayGo ? 'its contents may go' : 'its contents must stay' }}</p>
<div class="acts">@if (in_array($condition->value, ['good', 'stale'], true))<a class="btn" href="/sticks/{{ $slug }}/label" data-key="l">Label <kbd>l</kbd></a>@endif
<a class="btn" href="/sticks/{{ $slug }}/starts">Where it starts</a>
@if ($build)<a class="btn" href="/sticks/{{ $slug }}/builds/{{ $build->id }}">Last build</a>@endif
@if ($mayWork && ! $gone && ! $build?->isUnderWay())<form method="post" action="/sticks/{{ $slug }}/check">@csrf<button class="btn" data-key="t">Check its true size <kbd>t</kbd></button></form>@endif</div>
@if ($mayWork && $condition !== \Cobblestone\Media\Build\StickCondition::Retired && $stick->contentsMayGo && $images !== [])<h3>Build it anew from</h3><ul class="from">@foreach ($images as $image)<li><a href="/shelf/{{ $image->id }}/ways?stick={{ $slug }}">{{ $image->title() }}</a>{{ $image->inspected()?->isDamaged() ? ' · damaged' : '' }}</li>@endforeach</ul>@endif
</section>
<section class="panel">@include('parts.core')</section>
</div>
<div class="cols">
<section class="panel"><h2>Measured speed</h2>
@if ($speed)<svg class="speed" viewBox="0 0 {{ \App\Drawing\SpeedDrawing::WIDTH }} {{ \App\Drawing\SpeedDrawing::HEIGHT }}" role="img" aria-label="Speed of each run; the table below says the same.">
@foreach ($speed->lines as $line)<path class="mark" d="M44 {{ round($line['y'], 1) }}q30 -3 60 0t60 0t60 0t60 0t60 0t60 0t60 0t60 0"/><text x="38" y="{{ round($line['y'] + 4, 1) }}">{{ $line['label'] }}</text>@endforeach
@foreach ($speed->pebbles as $pebble)@if ($pebble['kind'] === 'writing')<ellipse class="w" cx="{{ round($pebble['x'], 1) }}" cy="{{ round($pebble['y'], 1) }}" rx="{{ round($pebble['r'] * 1.3, 1) }}" ry="{{ round($pebble['r'], 1) }}"><title>{{ $pebble['label'] }}</title></ellipse>@else<path class="r" d="M{{ round($pebble['x'] - $pebble['r'], 1) }} {{ round($pebble['y'], 1) }}h{{ round(2 * $pebble['r'], 1) }}v4h-{{ round(2 * $pebble['r'], 1) }}z"><title>{{ $pebble['label'] }}</title></path>@endif @endforeach
</svg><p class="fine">MB/s, one mark a build. Pebbles: writing. Slabs: reading back. {{ $history->write() === null ? 'A rate is learned from 4 GiB on; until then plans use the stated one.' : "Learned: {$history->write()->label()} writing, {$history->read()?->label()} reading back." }}</p>@else<p class="fine">Nothing was measured on it yet: that takes a build of a megabyte or more.</p>@endif
</section>
<section class="panel"><h2>History</h2>
@if ($events->isEmpty())<p class="fine">Nothing happened to it here yet.</p>@else<ul class="events">@foreach ($events as $event)<li><b>{{ ['built' => 'Built and proven', 'failed' => 'Failed', 'cancelled' => 'Cancelled', 'checked' => 'True size checked', 'retired' => 'Retired', 'taken-back' => 'Taken back into use', 'booted-badly' => 'Did not start well'][$event->kind] ?? $event->kind }}</b>@if (isset($event->data['title'])): {{ $event->data['title'] }}@endif <span class="fine">{!! \App\View\Words::time($event->created_at) !!}{{ $event->user ? ", {$event->user->title}" : '' }}</span>
@if ($event->kind === 'built')<br><span class="fine">{{ \Cobblestone\Quantity\Bytes::of($event->data['bytes'])->decimal() }} · written in {{ \App\View\ShelfWords::clock($event->data['write_seconds']) }} · read back in {{ \App\View\ShelfWords::clock($event->data['verify_seconds']) }}@if (($event->data['attempts'] ?? []) !== []) · {{ count($event->data['attempts']) }} failed before: {{ $event->data['attempts'][0]['message'] }}@endif</span>@elseif (isset($event->data['message']) || isset($event->data['because']))<br><span class="fine">{{ $event->data['message'] ?? $event->data['because'] }}</span>@endif</li>@endforeach</ul>@endif
@if ($mayWork)<details class="more" @if ($errors->hasAny(['because', 'seen'])) open @endif><summary>Something was wrong with it</summary>
<form method="post" action="/sticks/{{ $slug }}/booted-badly" class="mb-2">@csrf<label class="form-label" for="seen">A machine did not start from it: what was seen</label><input id="seen" name="seen" class="form-control" maxlength="300" value="{{ old('seen') }}">@include('parts.error', ['field' => 'seen'])<button class="btn mt-1">Note it</button></form>
@if ($condition !== \Cobblestone\Media\Build\StickCondition::Retired)<form method="post" action="/sticks/{{ $slug }}/retire">@csrf<input type="hidden" name="as_seen" value="{{ $version }}"><label class="form-label" for="because">Retire it, because</label><input id="because" name="because" class="form-control" maxlength="300" value="{{ old('because') }}">@include('parts.error', ['field' => 'because'])<button class="btn stop mt-1">Retire it</button></form>
@elseif (auth()->user()->isLead())<form method="post" action="/sticks/{{ $slug }}/take-back">@csrf<input type="hidden" name="as_seen" value="{{ $version }}"><button class="btn">Take it back into use</button>@include('parts.error', ['field' => 'take-back'])</form>@endif</details>@endif
</section></div>
@endsection
