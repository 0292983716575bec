@extends('layout')
@section('title', 'Bench')
@section('keys', 'n=/jobs/new')
@section('content')
<header class="head"><h1>Bench</h1><span class="goal">{{ $jobs->count() }} open {{ $jobs->count() === 1 ? 'job' : 'jobs' }}</span>@if (auth()->user()->mayWork())<a class="btn go ms-auto" href="/jobs/new" data-key="n">New job <kbd>n</kbd></a>@endif</header>
@if ($jobs->isEmpty())
<div class="panel empty"><p><b>No machine is on the bench.</b></p><p>Take one in with <i>New job</i>: pick its model, and the path is there.</p></div>
@endif
<ol class="bench">
@foreach ($jobs as $job)
@php($s = $job->summary)
<li class="panel {{ ($s['current']['state'] ?? '') === 'trouble' ? 'in-trouble' : '' }}">
<a class="cover" href="/jobs/{{ $job->id }}" aria-label="Open {{ $job->title }}"></a>
<div class="slot">{{ $job->slot ?? '–' }}<small>slot</small></div>
<div class="what"><h2>{{ $job->title }}</h2><p>job {{ sprintf('%04d', $job->id) }} · {{ $last[$job->id]->user->title ?? $job->user->title }}@if (isset($last[$job->id])), {{ \App\View\Words::ago($now - $last[$job->id]->created_at->timestamp) }}@endif</p></div>
<div class="where">
<div class="steps" role="img" aria-label="{{ $s['done'] }} of {{ $s['total'] }} stones laid">@for ($i = 0; $i < $s['total']; $i++)<i class="{{ $i < $s['done'] ? 'laid' : '' }}"></i>@endfor</div>
<p><b>{{ $s['done'] }}</b> of {{ $s['total'] }} laid · <span class="hands">hands {{ round($s['hands_left']) }} min</span> · <span class="walk">walk away {{ round($s['walk_left']) }} min</span> left</p>
</div>
<div class="now">
@foreach ($s['away'] as $wait)<p class="walk"><b class="clock" data-until="{{ $wait['started_at'] + $wait['likely'] }}"></b> {{ $wait['title'] }}</p>@endforeach
@if (($s['waiting'] ?? null) !== null)<p class="fine"><b>Waits for {{ \Cobblestone\Bench\Reminders::WAITING_FOR[$s['waiting']['for']] ?? $s['waiting']['for'] }}</b>, since {{ \App\View\Words::ago($now - $s['waiting']['since']) }}{{ $s['waiting']['text'] === '' ? '' : ': '.$s['waiting']['text'] }}</p>
@elseif ($s['current'] !== null)<p><a class="btn small {{ $s['current']['state'] === 'trouble' ? 'stop' : '' }}" href="/jobs/{{ $job->id }}/run">{{ ['trouble' => 'Trouble', 'running' => 'In hand'][$s['current']['state']] ?? ($s['begun'] ? 'Needs hands' : 'Begin') }}: {{ $s['current']['title'] }}</a></p>@endif
@foreach (array_slice($s['shut'] ?? [], 0, 1) as $shut)<p class="verdict {{ $shut['word'] === 'stop' ? 'stop' : 'hold' }}">{{ $shut['word'] }}: {{ \Illuminate\Support\Str::limit($shut['reason'], 110) }}{{ count($s['shut']) > 1 ? ' and '.(count($s['shut']) - 1).' more' : '' }}</p>@endforeach
@if ($s['put_back'] > 0)<p class="fine">{{ $s['put_back'] }} to put back</p>@endif
</div>
</li>
@endforeach
</ol>
@if ($keeping !== null)@include('bench.keeping')@endif
@endsection
