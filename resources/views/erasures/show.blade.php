@extends('layout')
@section('title', $certificate === null ? 'Erasure' : 'Certificate of erasure')
@section('page-class', $certificate === null ? '' : 'paper')
@section('content')
@if ($certificate === null)
<header class="head"><h1>{{ $erasure->title }}</h1><span class="goal">{{ $erasure->way()->title() }}</span></header>
<div id="erasure" @if ($erasure->isUnderWay()) hx-get="/erasures/{{ $erasure->id }}" hx-trigger="every 1s"
 hx-target="this" hx-select="#erasure" hx-swap="outerHTML" @endif>
@if ($erasure->isUnderWay())
<section class="panel" aria-live="polite">
<h2>{{ $erasure->state === 'queued' ? 'Waits for its turn' : 'Under way' }}</h2>
<progress max="{{ $erasure->bytes }}" value="{{ $erasure->done_bytes }}"></progress>
<p class="mono figures">{{ \App\View\SizeWords::short($erasure->done_bytes) }} of
{{ \App\View\SizeWords::short($erasure->bytes) }}</p>
<p class="fine">You can leave this page: it goes on. Until it was read back, the drive is not erased.</p>
@if ($mayWork && $erasure->way === 'overwrite')
<form method="post" action="/erasures/{{ $erasure->id }}/cancel">
@csrf
<button class="btn stop" data-key="c" @disabled($erasure->cancel)>Cancel <kbd>c</kbd></button>
</form>
@endif
</section>
@else
<section class="panel stop-panel" role="status"><h2>Not erased</h2><p>{{ $erasure->fault }}</p>
<p>There is no certificate. <a class="btn" href="/erasures#drive-{{ $erasure->drive }}">Back to the drives</a></p>
</section>
@endif
</div>
@else
<div class="sheet">
<x-paper-head :shop="$shop" paper="Certificate of erasure">no. {{ sprintf('%04d', $erasure->id) }}<br>
{{ \App\View\Words::local($erasure->ended_at ?? $erasure->updated_at, 'j F Y') }}</x-paper-head>
<h1>{{ $certificate->model }}</h1>
<dl class="findings">
<dt>Serial</dt><dd class="mono">{{ $certificate->serial ?? 'the drive reports none' }}</dd>
<dt>Size</dt><dd class="mono">{{ \App\View\SizeWords::exact($certificate->bytes) }}</dd>
<dt>How</dt><dd>{{ $certificate->way->done() }}.</dd>
<dt>Read back</dt><dd>{{ $certificate->proof }}</dd>
@if ($certificate->caution !== '')
<dt>What it leaves open</dt><dd>{{ $certificate->caution }}</dd>
@endif
<dt>Begun</dt><dd>{{ $began }}</dd>
<dt>Ended</dt><dd>{{ $ended }}</dd>
<dt>By</dt><dd>{{ $certificate->by }}</dd>
</dl>
<div class="sign"><div>erased by</div><div>received by</div></div>
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button>
<a class="btn" href="/erasures">Back to the drives</a></div>
@endif
@endsection
