@extends('layout')
@section('title', "Handover of {$job->title}")
@section('page-class', 'paper')
@section('content')
<div class="sheet">
<x-paper-head :shop="$shop" paper="Handover sheet">job
{{ sprintf('%04d', $job->id) }}<br>
{{ \App\View\Words::local($job->isOpen() ? now() : $job->updated_at, 'j F Y') }}</x-paper-head>
@if ($sheet->owed !== [])<p class="draft">Draft: not handed over yet. {{ implode(' ', $sheet->owed) }}</p>@endif
<h1>{{ $job->title }}</h1>
<p>{{ $sheet->intro }}</p>
@if ($sheet->done !== [])<h2>What was done</h2>
<table class="plain"><tbody>
@foreach ($sheet->done as $line)
<tr><td>{{ $line->words }}@if ($line->proof !== [])<br><small>{{ implode(' · ', $line->proof) }}</small>@endif
</td><td class="num">{{ \App\View\Words::stamp($line->at, $zone) }}</td></tr>
@endforeach
</tbody></table>@endif
@foreach ($sheet->parts as $title => $lines)
<h2>{{ $title }}</h2>
<ul>
@foreach ($lines as $line)
<li>{{ $line->words }}@if ($line->proof !== []) <small>{{ implode(' · ', $line->proof) }}</small>@endif
</li>
@endforeach
</ul>
@endforeach
@if ($sheet->waived !== [])<h2>What was waived</h2>
<ul>
@foreach ($sheet->waived as $one)
<li>
<b>{{ $one['what'] }}</b> {{ $one['agreed_by'] }} agreed in writing: “{{ $one['text'] }}” <small>waived by the
{{ $one['role'] }}</small></li>
@endforeach
</ul>
@endif
@if ($sheet->accepted !== [])<h2>What differs and was accepted</h2>
<ul>
@foreach ($sheet->accepted as $one)
<li><b>{{ $one['what'] }}</b>: {{ $one['words'] }}. Accepted by the {{ $one['role'] }}: “{{ $one['reason'] }}”</li>
@endforeach
</ul>
@endif
@if ($sheet->stays !== [])<h2>What is different from before</h2>
<ul>@foreach ($sheet->stays as $line)<li>{{ $line }}</li>@endforeach</ul>@endif
@if ($sheet->dates !== [])<h2>Dates</h2>
<ul>@foreach ($sheet->dates as $line)<li>{{ $line }}</li>@endforeach</ul>@endif
@if ($sheet->first !== [])<h2>For the first days</h2>
<ul>@foreach ($sheet->first as $line)<li>{{ $line }}</li>@endforeach</ul>@endif
@if ($sheet->cameIn !== '')<h2>How it came in</h2><p>{{ $sheet->cameIn }}</p>@endif
@if ($photos !== [])<h2>Photos</h2>
<ul class="inside">
@foreach ($photos as $photo)
<li><img src="/jobs/{{ $job->id }}/photos/{{ $photo->id }}" alt="{{ $photo->words }}">
<span>{{ $photo->words }}</span></li>
@endforeach
</ul>@endif
<div class="sign"><div>handed over by</div><div>received by {{ $sheet->receivedBy }}</div></div>
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button>
@if ($sheet->dates !== [])
<a class="btn" href="/jobs/{{ $job->id }}/dates.ics" hx-boost="false">Dates for a calendar</a>
@endif
<a class="btn" href="/jobs/{{ $job->id }}">Back to the job</a></div>
@endsection
