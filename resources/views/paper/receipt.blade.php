@extends('layout')
@section('title', "Receipt of {$job->title}")
@section('page-class', 'paper')
@section('content')
<div class="sheet">
<x-paper-head :shop="$shop" paper="Receipt">job {{ sprintf('%04d', $job->id) }}</x-paper-head>
<h1>{{ $receipt->machine }}</h1>
<p>{{ $receipt->serial === '' ? '' : "Serial {$receipt->serial}. " }}Left here for: {{ lcfirst($receipt->wish) }}.</p>
<h2>Taken in, {{ \App\View\Words::stamp($receipt->takenAt, $zone) }}</h2>
<table class="plain"><tbody>
<tr><th>condition</th><td>{{ $receipt->condition === '' ? 'not noted' : $receipt->condition }}</td></tr>
<tr><th>came with it</th><td>{{ $receipt->came === [] ? 'nothing' : implode(', ', $receipt->came) }}</td></tr>
</tbody></table>
<div class="sign"><div>taken in by</div><div>left by</div></div>
@if ($receipt->backAt !== null)
<h2>Given back, {{ \App\View\Words::stamp($receipt->backAt, $zone) }}</h2>
<table class="plain"><tbody>
<tr><th>went back</th><td>{{ $receipt->went === [] ? 'nothing' : implode(', ', $receipt->went) }}</td></tr>
@if ($receipt->missing !== '')
<tr><th>did not</th><td>{{ $receipt->missing }}
@if ($receipt->accepted !== '')
<br><small>accepted: “{{ $receipt->accepted }}”</small>
@endif
</td></tr>
@endif
@if ($receipt->copyUntil !== '')
<tr><th>copy of the files</th><td>deleted on {{ $receipt->copyUntil }}</td></tr>
@endif
</tbody></table>
<div class="sign"><div>given back by</div><div>received by {{ $receipt->receivedBy }}</div></div>
@endif
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button>
<a class="btn" href="/jobs/{{ $job->id }}">Back to the job</a></div>
@endsection
