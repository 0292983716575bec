@extends('layout')
@section('title', 'Logbook')
@section('content')
<header class="head"><h1>Logbook</h1><span class="goal">what happened on the bench, newest first</span></header>
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
<section class="panel">
@if ($entries->isEmpty())
<p>Nothing has happened yet. Every action on a job is written down here.</p>
@endif
<ol class="log">
@foreach ($entries as $entry)
<li class="{{ $entry->kind }}"><span class="when">{!! \App\View\Words::time($entry->created_at) !!}</span><div>
<a href="/jobs/{{ $entry->job_id }}/log">{{ $entry->job->title }}</a> <b>{{ \App\View\LogLine::text($entry) }}</b>
<span class="fine">{{ $entry->user->title }}</span>@if (isset($entry->data['text']))
<br><span class="fine">{{ $entry->data['text'] }}</span>@endif
</div></li>
@endforeach
</ol>
{{ $entries->links('parts.pages') }}</section>
@endsection
