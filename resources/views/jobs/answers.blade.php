@extends('layout')
@section('title', "First start, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">first start</span></header>
@include('jobs.tabs', ['tab' => 'install'])
@include('jobs.install-nav', ['here' => 'answers'])
<section class="panel" aria-labelledby="asked-title">
<h2 id="asked-title">What is asked, what is answered</h2>
@if ($page->rows() === [])
<p>This path starts no new system, and nobody has said what one would be answered.</p>
@else
<x-rows :rows="$page->rows()"/>
<p class="fine">
Ticked off at the stone <a href="/jobs/{{ $job->id }}/run?stone={{ $page->listStone() }}">{{ $page->listTitle() }}</a>;
what was answered otherwise is written there with its reason, and told on the owner's sheet.
</p>
@endif
</section>
@if ($page->fault !== '')
<section class="panel stop-panel">
<h2>The answer file cannot be made</h2>
<p>{{ $page->fault }}</p>
<p class="fine">The template stands in the catalogue, with the system. Everything can be answered from the list.</p>
</section>
@elseif ($page->file !== null)
<section class="panel" aria-labelledby="file-title">
<h2 id="file-title">The answer file <span class="toward">{{ $page->file->path }}</span></h2>
<p>What is <mark>marked</mark> was worked out for this job. Nothing in it is secret.</p>
<pre class="answers" tabindex="0">{{ $page->text() }}</pre>
<p class="mono fine sum-line">{{ $page->measure() }} · sha256 {{ $page->file->sha256() }}</p>
<div class="acts">
<a class="btn go" href="/jobs/{{ $job->id }}/answer-file" hx-boost="false" download>Save the file</a>
<a class="btn" href="/jobs/{{ $job->id }}?stone={{ $page->fileStone() }}">The stone that puts it on the stick</a>
</div>
<p class="fine">The builder's own customising stays off: two answers to one question stop the installer. Template as of
{{ $page->file->asOf }}.</p>
</section>
@endif
@if ($page->decision() !== null)
<p class="fine"><b>{{ $page->decision()->title }}:</b> {{ $page->decision()->chosen }}.
{{ implode(' ', $page->decision()->reasons) }}</p>
@endif
@endsection
