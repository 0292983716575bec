@extends('layout')
@section('title', "Frames, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">frames before and after</span></header>
@include('jobs.tabs', ['tab' => 'install'])
@include('jobs.install-nav', ['here' => 'frames'])
@if ($page->comparison !== null)
<x-panel title="What they say of each other" :class="$page->mood()">
<p><b>{{ $page->comparison->sentence() }}</b></p>
</x-panel>
@endif
<x-panel title="Counted">
@if ($page->isEmpty())
<p>Nothing was counted yet. Drop in the log of a run: a table with a column of frame times.</p>
@else
@include('jobs.frame-rows', ['rows' => $page->rows()])
<p><a href="/jobs/{{ $job->id }}/frames.json" hx-boost="false" download>As JSON, with every input</a></p>
@endif
</x-panel>
<x-panel title="Frames a second">
@if ($page->drawing !== null)
<svg class="frames" viewBox="0 0 {{ $page->drawing::WIDTH }} {{ $page->drawing::HEIGHT }}" role="img"
 aria-label="Rates of every run or second, before and after; the table says the same.">
@foreach ($page->drawing->rungs as $rung)
<path class="rung" d="M46 {{ $rung['y'] }}H540"/><text class="rate" x="40" y="{{ $rung['beside'] }}">{{
    $rung['label']
}}</text>
@endforeach
@foreach ($page->drawing->bars as $bar)
<rect class="bar {{ $bar['moment'] }}" x="{{ $bar['x'] }}" y="{{ $bar['y'] }}" width="{{ $bar['wide'] }}"
 height="{{ $bar['high'] }}"><title>{{ $bar['label'] }}</title></rect>
@endforeach
@foreach ($page->drawing->grains as $grain)
<circle class="grain {{ $grain['moment'] }}" cx="{{ $grain['x'] }}" cy="{{ $grain['y'] }}" r="3"><title>{{
    $grain['label']
}}</title></circle>
@endforeach
<text class="moment" x="180" y="202">before</text><text class="moment" x="420" y="202">after</text>
</svg>
<p class="fine">Every grain a run, or a second of one. The bar: where the rate lies with 95 %.</p>
@else
<p class="fine">Nothing to draw yet.</p>
@endif
</x-panel>
@if ($page->mayWork)
<form method="post" action="/jobs/{{ $job->id }}/frames" enctype="multipart/form-data" class="panel">
@csrf
<h2>Take in a run</h2>
<div class="row g-2">
<div class="col-6 col-md-2"><label class="form-label" for="moment">It is from</label>
<select id="moment" name="moment" class="form-select"><option value="before">before</option>
<option value="after" @selected(old('moment') === 'after')>after</option></select></div>
<div class="col-sm-6 col-md-4"><label class="form-label" for="picture">Settings of the picture</label>
<input id="picture" name="picture" class="form-control" maxlength="120" value="{{ old('picture') }}"></div>
<div class="col-6 col-md-2"><label class="form-label" for="power">Power mode</label>
<input id="power" name="power" class="form-control" maxlength="60" value="{{ old('power') }}"></div>
<div class="col-sm-6 col-md-4"><label class="form-label" for="logs">Logs of one run each, as CSV</label>
<input id="logs" name="files[]" type="file" multiple class="form-control" accept=".csv,.tsv,.txt,text/csv"></div>
</div>
@include('parts.error', ['field' => 'files'])
@include('parts.error', ['field' => 'moment'])
<p class="fine">Two are compared only at equal settings and power mode. From three runs, or three seconds of one, it is
known how far the rate spreads.</p>
<button class="btn go" data-key="g">Count <kbd>g</kbd></button>
</form>
@endif
@if ($page->earlier() !== [])
<details class="more"><summary>Counted earlier</summary>
@include('jobs.frame-rows', ['rows' => $page->earlier()])
</details>
@endif
@endsection
