@extends('layout')
@section('title', 'Logbook')
@section('content')
<header class="head"><h1>Logbook</h1><span class="goal">what happened on the bench, newest first</span>
<a class="btn ms-auto" href="/logbook/figures" data-key="g">What it teaches <kbd>g</kbd></a></header>
<form method="get" action="/logbook.csv" class="take-away" hx-boost="false">
<label class="form-label" for="month">A month of it as CSV</label>
<input id="month" type="month" name="month" class="form-control" value="{{ $month }}">
<button class="btn">Take it away</button>
</form>
<section class="panel"><h2>Predicted and seen</h2>
@if ($accuracy['of'] === 0)
<p>Nobody has said yet how a power-on ended. Those that somebody looked at are counted here.
@if ($unsaid > 0)
{{ $unsaid }} {{ $unsaid === 1 ? 'was' : 'were' }} laid with nothing said against the prediction.@endif
</p>
@else
<p>
<b class="figure">{{ $accuracy['percent'] }} %</b> of power-ons that somebody looked at ended as the rehearsal said:
{{ $accuracy['right'] }} of {{ $accuracy['of'] }}.
@if ($unsaid > 0)
{{ $unsaid }} more {{ $unsaid === 1 ? 'was' : 'were' }} laid with nothing said against the prediction.@endif
</p>
@if ($differed->isNotEmpty())
<ul>
@foreach ($differed as $one)
<li>
<a href="/jobs/{{ $one->job_id }}/rehearsal">{{ $one->job->title }}</a>: predicted
“{{ \Cobblestone\Boot\Model\Outcome::from($one->predicted)->title() }}”, seen
“{{ \Cobblestone\Boot\Model\Outcome::from($one->seen)->title() }}”{{ $one->of_model ? ', kept for the model' : '' }}.
<span class="fine">{!! \App\View\Words::time($one->created_at) !!}</span></li>
@endforeach
</ul>
@endif
@endif
</section>
@if ($emulated !== [])
<section class="panel" id="emulated"><h2>Predicted and started here</h2>
<table class="plain stack">
<thead><tr><th>emulated firmware</th><th class="num">as predicted</th><th class="num">otherwise</th>
<th class="num">could not be told</th></tr></thead>
<tbody>
@foreach ($emulated as $firmware => $share)
<tr>
<td>{{ $firmware }}</td>
<td class="num" data-label="as predicted">{{ $share['as_predicted'] }}</td>
<td class="num" data-label="otherwise">{{ $share['otherwise'] }}</td>
<td class="num" data-label="could not be told">{{ $share['open'] }}</td>
</tr>
@endforeach
</tbody>
</table>
</section>
@endif
<section class="panel">
@if ($entries->isEmpty())
<p>Nothing has happened yet. Every action on a job is written down here.</p>
@endif
<ol class="log">
@foreach ($entries as $entry)
<li class="{{ $entry->kind }}"><span class="when">{!! \App\View\Words::time($entry->created_at) !!}</span><div>
<a href="/jobs/{{ $entry->job_id }}/log">{{ $entry->job->title }}</a> <b>{{ \App\View\LogLine::text($entry) }}</b>
<span class="fine">{{ $entry->user->title }}</span>@if ($entry->words() !== null)
<br><span class="fine">{{ $entry->words() }}</span>@endif
</div></li>
@endforeach
</ol>
{{ $entries->links('parts.pages') }}</section>
@endsection
