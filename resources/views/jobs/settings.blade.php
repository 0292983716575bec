@extends('layout')
@section('title', "Firmware of {$job->title}")
@section('content')
@php($mayWork = auth()->user()->mayWork() && $job->isOpen())
@php($p = $progress->plan)
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">firmware of {{ $machine->title }}</span></header>
@include('jobs.tabs', ['tab' => 'settings'])
@include('jobs.firmware-nav', ['here' => 'settings', 'updates' => $update !== null])
@php($conflicts = array_filter($p->questions, fn ($question) => str_starts_with($question->fact, 'choice.')))
@if ($conflicts !== [])@include('jobs.questions')@endif
<section class="panel" aria-labelledby="changes"><h2 id="changes">What changes, in this order</h2>
@forelse ($steps as $step)
@if ($step->rows !== [])<div class="table-responsive" tabindex="0"><table class="plain rows stack"><thead><tr>@foreach (array_keys($step->rows[0]) as $head)<th>{{ $head }}</th>@endforeach</tr></thead><tbody>@foreach ($step->rows as $row)<tr>@foreach ($row as $head => $cell)<td data-label="{{ $head }}" class="{{ $head === 'becomes' ? 'to' : ($head === 'was' ? 'was' : ($head === 'because' ? 'fine' : '')) }}">{{ $cell }}</td>@endforeach</tr>@endforeach</tbody></table></div>
<p class="fine">In one visit, then save and leave. <a href="/jobs/{{ $job->id }}?stone={{ $step->id }}">The stone</a></p>@else<ol class="do">@foreach ($step->instructions as $line)<li>@words($line)</li>@endforeach</ol>@endif
@empty<p>Nothing has to change: what the path needs is already so.</p>@endforelse
@php($decision = collect($p->decisions)->firstWhere('id', 'firmware.secure-boot'))
@if ($decision)<p><b>Secure Boot: {{ $decision->chosen }}.</b> {{ implode(' ', $decision->reasons) }} <span class="rule">{{ $decision->rule }}</span></p>@endif
</section>
<section class="panel" aria-labelledby="set-now"><h2 id="set-now">What is set now</h2>
@if (session('did') === 'snapshot')<p class="holds" role="status">Recorded. The path is computed from it.</p>@endif
@error('settings')<p class="wrong" role="alert">{{ $message }}</p>@enderror
@php($newest = $snapshots->first())
@if ($newest && $newest->notes !== [])<ul class="wrong">@foreach ($newest->notes as $note)<li>{{ $note }}</li>@endforeach</ul>@endif
@if ($settings === [])<p>A sealed machine has no settings that a technician could change.</p>@else
@php($force = \Cobblestone\Machine\SecureBootState::of($machine->facts))
<p><b>Secure Boot {{ match ($force->inForce) { true => 'is in force', false => 'is not in force', null => 'in force: not known' } }}.</b> {{ $force->because }} <span class="rule">F2</span></p>
<form method="post" action="/jobs/{{ $job->id }}/settings" enctype="multipart/form-data">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<div class="table-responsive" tabindex="0"><table class="plain stack set-now"><thead><tr><th>setting</th><th>where</th><th>set to</th><th>known from</th>@if ($mayWork)<th>read now</th>@endif</tr></thead><tbody>
@foreach ($settings as $setting)
@php($fact = $machine->fact("firmware.{$setting->id}"))
<tr><td><b>{{ $setting->title }}</b>@if ($setting->requires !== [])<br><span class="fine">needs {{ implode(', ', array_map(fn ($other, $value) => (collect($settings)->firstWhere('id', $other)->title ?? $other)." {$value}", array_keys($setting->requires), $setting->requires)) }}</span>@endif</td><td class="fine">{{ $setting->place }}</td><td>{{ $fact->spoken() }}</td><td><span class="certainty {{ $fact->certainty->value }}">{{ $fact->certainty->value }}</span> <span class="fine">{{ $fact->origin }}{{ $fact->at ? ', '.\App\View\Words::moment($fact->at) : '' }}</span></td>
@if ($mayWork)<td><select class="form-select" name="settings[{{ $setting->id }}]" aria-label="{{ $setting->title }}, read now"><option value="">not looked at</option>@foreach ($setting->values as $value)<option @selected(old("settings.{$setting->id}") === $value)>{{ $value }}</option>@endforeach</select></td>@endif</tr>
@endforeach</tbody></table></div>
@if ($mayWork)
<div class="row g-3"><div class="col-md-7"><label class="form-label" for="pasted">Or paste, one setting a line</label><textarea class="form-control mono" id="pasted" name="pasted" rows="3" placeholder="{{ ($settings[0]->title ?? 'Start mode').': '.($settings[0]->values[0] ?? 'uefi') }}">{{ old('pasted') }}</textarea>@include('parts.error', ['field' => 'pasted'])</div>
<div class="col-md-5"><label class="form-label" for="photo">Photo of the page, as evidence</label><input class="form-control" type="file" id="photo" name="photo" accept="image/jpeg,image/png,image/webp">@include('parts.error', ['field' => 'photo'])<p class="fine">JPEG, PNG or WebP up to 12 MB. It stays on this bench.</p></div></div>
<div class="acts"><button class="btn go">Record what is set</button></div>@endif</form>@endif</section>
@if ($settings !== [])<section class="panel" aria-labelledby="snapshots"><h2 id="snapshots">Snapshots</h2>
@if ($snapshots->isEmpty())<p>None yet. What was set before anything is changed is the only way back: record it first.</p>
@else<form method="get" action="/jobs/{{ $job->id }}/settings#compared"><table class="plain stack"><thead><tr><th>from</th><th>to</th><th>when</th><th>by</th><th>settings</th><th></th></tr></thead><tbody>
@foreach ($snapshots as $one)<tr><td data-label="from"><input type="radio" name="from" value="{{ $one->id }}" aria-label="compare from this one" @checked(($compared['from']->id ?? $snapshots->last()->id) === $one->id)></td><td data-label="to"><input type="radio" name="to" value="{{ $one->id }}" aria-label="compare to this one" @checked(($compared['to']->id ?? $snapshots->first()->id) === $one->id)></td><td>{!! \App\View\Words::time($one->created_at) !!}</td><td class="fine">{{ $one->user->title }}, {{ $one->origin === 'paste' ? 'pasted' : 'chosen' }}</td><td>{{ implode(', ', array_map(fn ($id, $value) => (collect($settings)->firstWhere('id', $id)->title ?? $id)." {$value}", array_keys($one->settings), $one->settings)) ?: 'a photo only' }}</td><td>@if ($one->photo)<a href="/jobs/{{ $job->id }}/settings/{{ $one->id }}/photo" hx-boost="false">photo</a>@endif</td></tr>@endforeach</tbody></table>
@if ($snapshots->count() > 1)<div class="acts"><button class="btn">What differs</button></div>@endif</form>@endif
@if ($compared)<div id="compared"><h3>{!! \App\View\Words::time($compared['from']->created_at) !!} to {!! \App\View\Words::time($compared['to']->created_at) !!}</h3>@if ($compared['rows'] === [])<p>Nothing differs.</p>@else<table class="plain"><thead><tr><th>setting</th><th>was</th><th>is</th></tr></thead><tbody>@foreach ($compared['rows'] as $row)<tr><td><b>{{ collect($settings)->firstWhere('id', $row['setting'])->title ?? $row['setting'] }}</b></td><td class="was">{{ $row['was'] ?? 'not read' }}</td><td class="to">{{ $row['is'] ?? 'not read' }}</td></tr>@endforeach</tbody></table>@endif</div>@endif</section>@endif
@if ($memory !== [])<section class="panel"><h2>Memory speed</h2><ul>@foreach ($memory as $row)<li><b>{{ $row['module']->slot }}</b>: rated at {{ $row['module']->ratedTransfers }}, set to {{ $row['module']->setTransfers ?? 'not known' }} million transfers a second. @foreach ($row['ways'] as $way)<span class="fine">{{ $way->sentence() }}</span> @endforeach @if ($row['ways'] === [])<span class="fine">No multiplier of 100 or 133⅓ MHz meets that rate exactly: choose the profile.</span>@endif</li>@endforeach</ul><p class="fine">After a change the first start may stay black for minutes: do not cut the power.</p></section>@endif
@if ($update !== null)@include('jobs.update-path')@endif
@endsection
