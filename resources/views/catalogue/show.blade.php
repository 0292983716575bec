@extends('layout')
@section('title', $entry->name)
@section('content')
<header class="head"><h1>{{ $entry->name }}</h1>
<span class="goal">{{ rtrim($entry->kind, 's') }} · {{ $entry->slug }}</span><a class="btn ms-auto"
 href="/catalogue">Catalogue</a></header>
@if ($quirks !== [])
<section class="panel"><h2>Seen on this model</h2><ul>
@foreach ($quirks as $quirk)
<li>On the way to {{ $quirk->wants->title() }}: predicted “{{ $quirk->predicted->title() }}”, seen
“{{ $quirk->seen->title() }}”, {{ $quirk->times === 1 ? 'once' : "{$quirk->times} times" }}. Every rehearsal on this
model goes by it.</li>
@endforeach
</ul></section>
@endif
@if ($photos !== null)
<section class="panel"><h2>How it looks inside</h2>
@if ($photos->isEmpty())
<p class="fine">No photo yet. One that is taken in here is shown at every stone where a {{ $entry->name }} is
opened.</p>
@endif
@include('parts.opening-photos', ['takesAway' => auth()->user()?->isLead() === true])
@if (auth()->user()?->isLead())
<form method="post" enctype="multipart/form-data" action="/catalogue/machines/{{ $entry->slug }}/photos"
 class="d-flex flex-wrap gap-3 align-items-end"
 hx-boost="false">
@csrf
<div><label for="photo" class="form-label">Photo</label>
<input id="photo" name="photo" type="file" accept="image/jpeg,image/png,image/webp" class="form-control" required>
@include('parts.error', ['field' => 'photo'])</div>
<div><label for="words" class="form-label">What is seen on it</label>
<input id="words" name="words" class="form-control" value="{{ old('words') }}" maxlength="120" required
 placeholder="battery lead, left of the fan">
@include('parts.error', ['field' => 'words'])</div>
<button class="btn">Take it in</button>
</form>
<p class="fine">Drawn anew before it is kept: where and with what it was taken stays behind. No names, no serials.</p>
@endif
</section>
@endif
<section class="panel"><pre class="mono doc">{{ $yaml }}</pre></section>
@endsection
