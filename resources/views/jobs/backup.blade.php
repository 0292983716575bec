@extends('layout')
@section('title', "Backup of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">backup, both sides compared</span></header>
@include('jobs.tabs', ['tab' => 'backup'])
@foreach ($errors->all() as $message)
<p class="wrong" role="alert">{{ $message }}</p>
@endforeach
@includeWhen($page->compared !== null, 'jobs.compared', ['compared' => $page->compared])
@if ($page->keeps() !== null)
<x-panel :title="$page->keeps()">
@if ($page->measured() !== '')
<p>{{ $page->measured() }}</p>
@endif
@if ($page->covered() !== '')
<p>Covered: {{ $page->covered() }}.</p>
@endif
@if ($page->notCovered() !== '')
<p class="wrong">Not covered: {{ $page->notCovered() }}.</p>
@endif
</x-panel>
@endif
<x-act :to="'/jobs/'.$job->id.'/backup'" class="panel" enctype="multipart/form-data" hx-boost="false">
<h2>{{ $page->isHomeward() ? 'Compare what came home' : 'Compare both sides' }}</h2>
<p class="fine">
On each side: <code>find . -type f -exec sha256sum {} +</code>.
Or, without checksums, <code>find . -type f -printf '%s\t%p\n'</code>. Both together are read too.
</p>
<div class="row g-3">
@foreach ($page->sides() as $side => $title)
<div class="col-md-6">
<label class="form-label" for="{{ $side }}">{{ $title }}</label>
<textarea id="{{ $side }}" name="{{ $side }}" class="form-control mono" rows="5" spellcheck="false">{{
    $page->typed[$side] ?? old($side)
}}</textarea>
<input type="file" name="{{ $side }}_file" class="form-control mt-1" aria-label="{{ $title }} as a file">
@include('parts.error', ['field' => $side])
@include('parts.error', ['field' => "{$side}_file"])
</div>
@endforeach
</div>
@if (auth()->user()->mayWork())
<div class="acts"><button class="btn go">Compare</button></div>
@endif
</x-act>
@endsection
