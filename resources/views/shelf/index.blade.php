@extends('layout')
@section('title', 'Shelf')
@section('content')
<header class="head">
<h1>Shelf</h1>
<span class="goal">
{{ $files->total() }} {{ $files->total() === 1 ? 'image file' : 'image files' }} in the watched folder ·
<a href="/packages">{{ count($drivers) }} driver packages</a>
</span>
</header>
<form class="search" action="/shelf" role="search">
<input class="form-control" name="q" value="{{ $query }}" placeholder="name, line, version, source"
 aria-label="Search the shelf">
<button class="btn">Search</button>
</form>
@if (auth()->user()->mayWork())
<section class="panel arrive" data-upload="/shelf/uploads" data-token="{{ csrf_token() }}">
<div class="arrive-row">
<label class="btn go" for="upload" data-key="u">Bring an image <kbd>u</kbd></label>
<input type="file" id="upload" class="visually-hidden">
<span class="fine">
Any size; what breaks off goes on when the same file is chosen again.
Or copy it into the folder <code>var/shelf</code>: it shows here by itself.
</span>
</div>
<div class="arrive-state" hidden>
<progress max="100" value="0" aria-label="How much has come"></progress>
<span class="mono" data-words></span>
<button class="btn small" type="button" data-cancel>Cancel</button>
</div>
<p class="wrong" role="alert" hidden></p>
<noscript><p class="fine">Without scripts, copy the file into the folder <code>var/shelf</code>.</p></noscript>
</section>
@endif
<section class="panel" id="shelf-files" @if ($busy) hx-get="{{ request()->fullUrl() }}" hx-trigger="every 2s"
 hx-select="#shelf-files" hx-target="this" hx-swap="outerHTML" hx-select-oob="unset" @endif>
<h2>Images</h2>
@if ($files->isEmpty())
<div class="empty">
<p><b>{{ $query === '' ? 'The shelf is empty.' : 'Nothing on the shelf matches.' }}</b></p>
@if ($query === '')
<p>Bring an image with the button above, or copy one into var/shelf.</p>
@else
<p>Try a part of the name.</p>
@endif
</div>
@else
<div class="table-responsive" tabindex="0">
<table class="plain list stack shelf">
<thead><tr><th>image</th><th>what it is</th><th class="num">size</th><th>starts</th><th>checksum</th></tr></thead>
<tbody>
@foreach ($files as $file)
<tr class="{{ $file->here ? '' : 'gone' }}">
<td>
<a href="/shelf/{{ $file->id }}"><b>{{ $file->title }}</b></a>
@if ($file->name !== '')
<br><span class="fine mono">{{ $file->name }}</span>
@endif
@unless ($file->here)
<br><span class="fine">not in the folder any more</span>
@endunless
</td>
<td>{{ $file->kind }}
@if ($file->damaged)
<br><b class="bad">damaged</b>
@endif
</td>
<td class="num" title="{{ $file->exact }}">{{ $file->size }}</td>
<td>{{ $file->starts }}</td>
<td>@include('shelf.proof', ['proof' => $file->proof])</td>
</tr>
@endforeach
</tbody>
</table>
</div>
@endif
</section>
@include('parts.pages', ['paginator' => $files])
@include('shelf.described')
@endsection
