@extends('layout')
@section('title', "Label of {$stick->name}")
@section('page-class', 'paper')
@section('content')
<div class="acts no-print"><button class="btn go" type="button" data-print>Print</button>
<a class="btn" href="/sticks/{{ $stick->id }}">The stick</a></div>
<div class="stick-label">
<img src="data:image/svg+xml;base64,{{ base64_encode($code) }}" alt="Code with what is on this stick" width="104"
 height="104">
<div>
<b class="t">{{ $content['title'] }}</b><span>{{ $stick->name }} · <span
 class="mono">{{ $stick->serial ?? 'no serial' }}</span></span><span
 class="mono">{{ $content['label'] ?? 'written raw' }} ·
{{ substr($content['image_sha256'] ?? $content['fingerprint'], 0, 16) }}</span><span>proven
{{ substr($content['built_at'], 0, 10) }} ·
{{ \App\View\SizeWords::short($content['written_bytes']) }}@if ($content['drivers'] > 0)
 · with drivers
@endif
@if (($content['answers'] ?? null) !== null)
 · answers in {{ $content['answers'] }}
@endif
</span></div>
</div>
<p class="fine no-print">62 mm wide. The code holds the same words, so that a phone reads them without a network.</p>
@endsection
