@extends('layout')
@section('title', "Rehearsal of {$job->title}")
@section('content')
<header class="head">
<h1>{{ $job->title }}</h1>
<span class="goal">rehearsal: every power-on of this path, before the button is pressed</span>
</header>
@include('jobs.tabs', ['tab' => 'rehearsal'])
@include('parts.error', ['field' => 'as'])
@error('outcome')
<p class="wrong" role="alert">{{ $message }}</p>
@enderror
@if ($stick !== null)
<p class="started"><b>{{ $stick->name }}</b>, as it is now:
@if ($stick->last === null)
not started here as this model. <a href="/sticks/{{ $stick->slug }}/starts">Start it here</a>
@else
<a href="/starts/{{ $stick->last->start->id }}">started here</a> as this model is delivered,
{!! \App\View\Words::time($stick->last->start->created_at) !!}: <b>{{ $stick->last->startedHere() }}</b>.
@endif
</p>
@endif
@if ($page->cards === [])
<section class="panel">
<h2>No power-on to rehearse</h2>
<p>{{ $page->nothing() }}</p>
@if ($page->kinds() !== [])
<table class="plain">
<thead><tr><th>firmware</th><th>the stick</th><th>because</th></tr></thead>
<tbody>
@foreach ($page->kinds() as $row)
<tr>
<td>{{ $row['title'] }}</td><td><b class="{{ $row['class'] }}">{{ $row['words'] }}</b></td>
<td class="fine">{{ $row['because'] }}</td>
</tr>
@endforeach
</tbody>
</table>
@endif
</section>
@else
<p class="lead-line">
@foreach ($page->sums() as $sum)
<b class="{{ $sum['class'] }}">{{ $sum['words'] }}</b>
@endforeach
<span class="fine">{{ $page->looked() }} The last one is with everything put back.</span>
</p>
@foreach ($page->cards as $card)
@if ($card->isIntoSetup())
<p class="into-setup">
<a href="/jobs/{{ $job->id }}?stone={{ $card->start->step }}">{{ $card->start->title }}</a>: into the setup,
by its key. <a href="/jobs/{{ $job->id }}/ways-in">How</a>
</p>
@else
@include('jobs.start', ['start' => $card->start, 'number' => $loop->iteration])
@endif
@endforeach
@endif
@if ($page->seen->isNotEmpty())
<section class="panel">
<h2>Prediction against reality</h2>
<div class="table-responsive" tabindex="0">
<table class="plain stack">
<thead><tr><th>when</th><th>step</th><th>predicted</th><th>seen</th><th>by</th></tr></thead>
<tbody>
@foreach ($page->reality() as $one)
<tr>
<td>{!! $one['at'] !!}</td><td>{{ $one['step'] }}</td><td>{{ $one['predicted'] }}</td>
<td class="{{ $one['class'] }}">{{ $one['seen'] }}</td><td class="fine">{{ $one['by'] }}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
</section>
@endif
@endsection
