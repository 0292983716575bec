@extends('layout')
@section('title', "Memory of {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">memory sheet</span></header>
@include('jobs.tabs', ['tab' => 'memory'])
@php($mayWork = auth()->user()->mayWork() && $job->isOpen())
@if ($sheet)
<section class="panel memory-verdict {{ $sheet->verdict->isSettled() ? 'settled' : '' }}" role="status"><h2>{{ $sheet->verdict->sentence }}</h2>
@unless ($sheet->verdict->trusted)<p class="wrong">{{ $sheet->fact() === \Cobblestone\Assessment\Memory\MemorySheet::UNSTABLE ? 'Nothing is copied, repaired or installed through it until two passes of all modules at standard speed are clean.' : 'Nothing is copied, repaired or installed through this memory until that is settled and mended.' }}</p>@endunless
@if ($sheet->next)<p class="next-test"><b>Next test:</b> {{ $sheet->next->sentence }}</p>@elseif (! $sheet->verdict->isSettled())<p>Nothing more can be told apart with what is at hand: bring a module known good, or another board.</p>@endif
</section>
@php($place = $sheet->next->placed ?? [])
<section class="panel"><h2>Slots{{ $sheet->next ? ', as the next test wants them' : '' }}</h2>
@include('parts.memory-slots')
@if ($sheet->bench->populations !== [])<p class="fine">This board fills: {{ implode('; or ', array_map(fn ($set) => implode(' + ', $set), $sheet->bench->populations)) }}.</p>@endif
@if ($mayWork)
<form method="post" action="/jobs/{{ $job->id }}/memory/tests" class="memory-test">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<div class="row g-2">@foreach ($sheet->bench->slots as $slot)<div class="col-6 col-md-3"><label class="form-label" for="slot-{{ $loop->index }}">{{ $slot }}</label><select id="slot-{{ $loop->index }}" name="placed[{{ $slot }}]" class="form-select">
@php($chosen = old('placed')[$slot] ?? (array_search($slot, $place, true) ?: ''))
<option value="">empty</option>@foreach ([...array_map(strval(...), array_keys($sheet->bench->modules)), ...($sheet->bench->spare ? [\Cobblestone\Assessment\Memory\MemoryBench::SPARE] : [])] as $module)<option @selected($chosen === $module)>{{ $module }}</option>@endforeach</select></div>@endforeach
<div class="col-6 col-md-3"><label class="form-label" for="test-profile">Speed</label><select id="test-profile" name="profile" class="form-select"><option value="standard">standard</option><option value="faster" @selected(old('profile', $sheet->fasterProfile && $sheet->tests === [] && ! $sheet->next ? 'faster' : 'standard') === 'faster')>faster profile</option></select></div>
<div class="col-6 col-md-3"><label class="form-label" for="passes">Passes</label><input id="passes" name="passes" inputmode="numeric" class="form-control mono" value="{{ old('passes', $sheet->next->passes ?? 2) }}">@include('parts.error', ['field' => 'passes'])</div></div>
@include('parts.error', ['field' => 'placed'])
<div class="choices mt-2"><span class="form-label">What came of it</span>@foreach (['clean' => 'clean', 'errors' => 'errors', 'no-start' => 'did not start'] as $value => $words)<label><input type="radio" name="outcome" value="{{ $value }}" @checked(old('outcome') === $value)> {{ $words }}</label>@endforeach</div>@include('parts.error', ['field' => 'outcome'])
<div class="acts"><button class="btn go">Keep the result <kbd>Enter</kbd></button></div></form>
@endif</section>
@if ($sheet->tests !== [])<section class="panel"><h2>Tests made</h2><div class="table-responsive" tabindex="0"><table class="plain"><thead><tr><th>when</th><th>what stood where</th><th>speed</th><th class="num">passes</th><th>outcome</th></tr></thead><tbody>
@foreach ($entry['tests'] as $test)<tr><td class="fine">{{ \App\View\Words::moment($test['at'] ?? null) }}</td><td>{{ implode(', ', array_map(fn ($module, $slot) => "{$module} in {$slot}", array_keys($test['placed']), $test['placed'])) }}</td><td>{{ $test['profile'] === 'faster' ? 'faster profile' : 'standard' }}</td><td class="num">{{ $test['passes'] }}</td><td class="outcome {{ $test['outcome'] }}">{{ ['clean' => 'clean', 'errors' => 'errors', 'no-start' => 'did not start'][$test['outcome']] }}</td></tr>@endforeach</tbody></table></div></section>@endif
@endif
@if ($mayWork)
<details class="panel more" @if (! $sheet || $errors->hasAny(['modules', 'slots', 'spare_gib'])) open @endif><summary>{{ $sheet ? 'What is fitted' : 'Begin the sheet: what is fitted?' }}</summary>
<form method="post" action="/jobs/{{ $job->id }}/memory">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<div class="row g-3"><div class="col-md-5"><label class="form-label" for="modules">Modules and GiB of each</label><input id="modules" name="modules" class="form-control mono" placeholder="M1 8, M2 8" value="{{ old('modules', implode(', ', array_map(fn ($name, $gib) => "{$name} {$gib}", array_keys($start['modules']), $start['modules']))) }}" {{ $sheet ? '' : 'autofocus' }}>@include('parts.error', ['field' => 'modules'])</div>
<div class="col-md-4"><label class="form-label" for="slots">Slots, as the board names them</label><input id="slots" name="slots" class="form-control mono" placeholder="A1, A2" value="{{ old('slots', implode(', ', $start['slots'])) }}">@include('parts.error', ['field' => 'slots'])</div>
<div class="col-6 col-md-3"><label class="form-label" for="spare_gib">Module known good, GiB</label><input id="spare_gib" name="spare_gib" inputmode="numeric" class="form-control mono" value="{{ old('spare_gib', $start['spare_gib'] ?? '') }}">@include('parts.error', ['field' => 'spare_gib'])</div>
<div class="col-12 choices"><span class="form-label">Speed when the trouble was seen</span><label><input type="radio" name="profile" value="standard" @checked(old('profile', $start['profile']) === 'standard')> standard</label><label><input type="radio" name="profile" value="faster" @checked(old('profile', $start['profile']) === 'faster')> a faster profile was on</label><label><input type="checkbox" name="soldered" value="1" @checked(old('soldered', $start['soldered'] ?? false))> soldered</label></div></div>
<div class="acts"><button class="btn {{ $sheet ? '' : 'go' }}">{{ $sheet ? 'Change what is fitted' : 'Begin the sheet' }}</button></div></form></details>
@endif
@endsection
