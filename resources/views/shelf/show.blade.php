@extends('layout')
@section('title', $file->title())
@section('content')
<div id="looked" @if ($report === null) hx-get="/shelf/{{ $file->id }}" hx-trigger="every 1s" hx-target="this"
 hx-select="#looked" hx-swap="outerHTML" hx-select-oob="unset" @endif>
<header class="head"><h1>{{ $file->title() }}</h1><span class="goal mono">{{ $file->name }}</span>
@if ($report !== null && ($report->canBeRaw() || $report->canBeCopied()) && $file->here)
<a class="btn go ms-auto" href="/shelf/{{ $file->id }}/ways" data-key="m">Make a stick <kbd>m</kbd></a>@endif
</header>
@unless ($file->here)
<div class="panel stop-panel"><p>
<b>This file is not in the watched folder any more.</b> What was found in it stays on record.</p></div>
@endunless
@if ($report === null)
<section class="panel">
<p>Being looked into …</p></section>
@else
<div class="cols">
<section class="panel verdicts"><h2>{{ $report->what() }}</h2>
@if ($report->isDamaged())
<div class="stop-box"><b>Damaged</b><ul>
@foreach ($report->damage as $fault)
<li>{{ $fault }}</li>
@endforeach
</ul></div>
@endif
<dl class="findings"><dt>Written raw</dt><dd>{{ $report->starts('raw') }}</dd><dt>Files copied</dt>
<dd>{{ $report->starts('copied') }}</dd>
<dt>It may be</dt><dd>@forelse ($report->ways() as $way){{ $way }} @empty Made into no stick. @endforelse</dd></dl>
@if ($report->canBeRaw() && $report->compression === null && $file->here)
<p><a href="/shelf/{{ $file->id }}/starts">Which models it starts, written raw</a></p>
@endif
@if ($report->loaders !== [])
<h3>Loaders</h3><div class="table-responsive" tabindex="0"><table class="plain stack loaders"><thead><tr>
<th>loader</th><th>for</th><th>signature</th></tr></thead><tbody>
@foreach (\App\View\ShelfWords::loaders($report) as $loader)
<tr><td>
<span class="mono">{{ $loader['path'] }}</span><br>
<span class="fine">{{ $loader['place'] }} · <x-size :of="$loader['bytes']"/></span></td>
<td>{{ $loader['architecture'] }}@if ($loader['fault'])<br><b class="bad">{{ $loader['fault'] }}</b>@endif
</td>
<td>
@if ($loader['trust'] !== null)
<b
 class="{{ \App\View\ShelfWords::trustClass($loader['trust']) }}">{{
    \App\View\ShelfWords::trust($loader['trust'])
}}</b>
<span class="fine">{{ $loader['because'] }}
@if ($loader['signers'] !== [])
Signed by {{ implode('; ', $loader['signers']) }}.@endif
</span>@endif
</td></tr>
@endforeach
</tbody></table></div>
@endif
@if ($report->files !== null)
<p>{{ \App\View\ShelfWords::counted($report) }}, <x-size :of="$report->files['bytes']"/>@if ($report->files['largest'])
; the largest is <span class="mono">{{ $report->files['largest']['path'] }}</span>,
<x-size :of="$report->files['largest']['bytes']"/>@endif
.@unless ($report->files['complete']) There are more; they were not counted.@endunless
</p>
@endif
@foreach ($report->notes as $note)<p class="fine">{{ $note }}</p>@endforeach
<p class="fine">
{{ \App\View\ShelfWords::tables($report) }}
Nothing was run; only places that say what it is were read.</p>
</section>
<section class="panel"><h2>Is it the publisher's?</h2>
<p>@include('shelf.proof')</p>
@if ($file->sha256)<p class="mono hash" tabindex="0">{{ $file->sha256 }}</p>@endif
@if ($mayWork && $file->here)
<form method="post"
 action="/shelf/{{ $file->id }}/hash/{{ $file->isBeingHashed() ? 'stop' : 'start' }}" class="mb-3">
@csrf
<button
 class="btn small">{{ $file->isBeingHashed() ? 'Stop hashing' : 'Hash it again' }}</button>
</form>
@endif
@if ($core !== null)@include('parts.core')@endif
</section>
</div>
@endif
</div>
@if ($mayWork)
<details class="panel" @if ($errors->any()) open @endif><summary>
<b>What people know of it</b> <span
 class="fine">{{ $file->told() ?: 'nothing yet' }}</span></summary>
<form method="post" action="/shelf/{{ $file->id }}" class="row g-2 mt-1">
@csrf
<input type="hidden" name="as_seen" value="{{ $file->version() }}">
@foreach (\App\Models\ShelfFile::ABOUT as $field => $title)
<div class="col-sm-6 col-lg-3"><label class="form-label" for="a-{{ $field }}">{{ ucfirst($title) }}</label>
<input id="a-{{ $field }}" name="{{ $field }}" class="form-control" maxlength="120"
 value="{{ old($field, $file->said($field)) }}" @if ($field === 'as_of') type="date" @endif>
@include('parts.error', ['field' => $field])
</div>
@endforeach
@if (auth()->user()->isLead())
<div class="col-lg-8">
<label class="form-label" for="published">Published SHA-256, or the whole SHA256SUMS file</label>
<textarea id="published" name="published" class="form-control mono" rows="2"
 spellcheck="false">{{ old('published', $file->published_sha256) }}</textarea>
<p class="form-text">Left empty it says, honestly, that none was published.</p>
@include('parts.error', ['field' => 'published'])
</div>
<div class="col-lg-4"><label class="form-label" for="published_by">Where it was published</label>
<input id="published_by" name="published_by" class="form-control" maxlength="200"
 value="{{ old('published_by', $file->published_by) }}">
</div>
@else
<div class="col-12">
<p class="fine">Published SHA-256: <span
 class="mono">{{ $file->published_sha256 ?? 'none noted' }}</span>@if ($file->published_by)
, by {{ $file->published_by }}@endif
. A lead notes it.</p>
@include('parts.error', ['field' => 'published'])
</div>
@endif
<div class="col-12"><button class="btn">Keep this</button></div></form></details>@else
<section class="panel">
<p>{{ $file->told() ?: 'Nobody has noted what line and version it is.' }}</p></section>
@endif
@if ($events->isNotEmpty())<section class="panel"><h2>On record</h2>@include('parts.bench-events')</section>@endif
@endsection
