@extends('layout')
@section('title', "Assessment of {$job->title}")
@section('content')
@php($p = $progress->plan)
@php($a = $p->assessment)
@php($verdict = $p->verdict()->value)
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">{{ $p->job->kind->title() ?? 'clean install from a stick' }} · {{ $p->job->machine }}</span></header>
@include('jobs.tabs', ['tab' => 'assessment'])
@if ($p->blockers !== [])<div class="panel stop-panel" role="alert"><h2>Stop: it cannot work like this</h2><ul>@foreach ($p->blockers as $blocker)<li>{{ $blocker->reason }} <span class="rule">{{ $blocker->rule }}</span></li>@endforeach</ul></div>@endif
@error('facts')<p class="wrong" role="alert">{{ $message }}</p>@enderror
@include('jobs.questions')
@if (isset($a['route']))
@php($routeDecision = collect($p->decisions)->firstWhere('id', 'assess.route'))
<section class="panel"><h2>Which way: {{ lcfirst($routeDecision->chosen ?? 'none can work as things stand') }}</h2>
@if ($a['route']['provisional'])<p><b>A gentler way is still possible.</b> {{ $a['route']['settles'] ? 'The answer to “'.$a['route']['settles']['text'].'” would change this most.' : '' }}</p>@endif
@php($upTo = (int) array_search('recommended', array_column($a['route']['ladder'], 'standing'), true) ?: count($a['route']['ladder']) - 1)
@foreach ([array_slice($a['route']['ladder'], 0, $upTo + 1), array_slice($a['route']['ladder'], $upTo + 1)] as $part)
@continue($part === [])
@if ($loop->index === 1)<details class="more"><summary>Harsher ways: {{ count($part) }}</summary>@endif
<ol class="ladder">@foreach ($part as $rung)
<li class="{{ $rung['standing'] }}"><span class="rung-mark" aria-hidden="true"></span><div><b>{{ $rung['title'] }}</b> <span class="standing">{{ ['recommended' => 'this one', 'out' => 'out', 'possible' => 'possible', 'harsher' => 'harsher'][$rung['standing']] }}</span>
<span class="fine">{{ $rung['keeps'] === [] ? 'keeps nothing' : 'keeps '.implode(', ', $rung['keeps']) }}</span>
@if ($rung['why'] !== [])<br><span class="fine why">{{ implode(' ', $rung['why']) }}</span>@endif</div>
@if (in_array($rung['standing'], ['recommended', 'possible'], true) && auth()->user()->mayWork() && $job->isOpen())<form method="post" action="/jobs/{{ $job->id }}/tried">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><input type="hidden" name="rung" value="{{ $rung['id'] }}"><button class="btn small">Tried, did not help</button></form>@endif</li>
@endforeach</ol>@if ($loop->index === 1)</details>@endif
@endforeach</section>
@endif
@if (isset($a['requirements']) && $a['requirements']['rows'] !== [])
<section class="panel"><h2>Does {{ $p->job->system }} fit: {{ $a['requirements']['title'] }}</h2>
<div class="table-responsive" tabindex="0"><table class="plain needs stack"><thead><tr><th>need</th><th>wanted</th><th>this machine</th><th></th><th></th></tr></thead><tbody>
@foreach ($a['requirements']['rows'] as $row)<tr><td><b>{{ $row['title'] }}</b></td><td>{{ $row['needs'] }}</td><td>{{ $row['has'] }}</td><td class="need {{ str_replace(' ', '-', $row['verdict']) }}">{{ $row['verdict'] }}</td><td class="fine">{{ $row['note'] }}{{ $row['verdict'] === 'short' && $row['bypassable'] && ! str_ends_with($row['id'], '_ceiling') ? ' Can be bypassed by policy.' : '' }}</td></tr>@endforeach
</tbody></table></div></section>
@endif
<div class="cols even">
<section class="panel"><h2>Drives</h2>
@forelse ($a['health'] ?? [] as $drive)<p class="health {{ $drive['grade'] }}"><b>{{ \Cobblestone\Catalogue\HealthGrade::from($drive['grade'])->title() }}</b> · {{ $drive['model'] }}, {{ \Cobblestone\Runbook\Confirmation::mask($drive['serial']) }}<br>{{ $drive['facts'][0] }}@foreach (array_slice($drive['facts'], 1) as $fact)<br><span class="fine">{{ $fact }}</span>@endforeach<br><span class="fine">{{ $drive['readings'] }} {{ $drive['readings'] === 1 ? 'reading' : 'readings' }}{{ $drive['at'] ? ', newest '.\App\View\Words::moment($drive['at']) : '' }}</span></p>
@empty<p class="fine">No health was read. <code>smartctl -j -a</code> of each drive, or the collector's bundle, on the intake page.</p>@endforelse</section>
@if (isset($a['encryption']))<section class="panel"><h2>Drive encryption: {{ $a['encryption']['title'] }}</h2>
@php($decision = collect($p->decisions)->firstWhere('id', 'assess.encryption'))
@if ($decision)<p><b>{{ ucfirst($decision->chosen) }}.</b> {{ implode(' ', $decision->reasons) }} <span class="rule">A7</span></p>@endif
@if ($a['encryption']['triggers'] !== [])<ul>@foreach ($a['encryption']['triggers'] as $trigger)<li>{{ ucfirst($trigger['what']) }}: {{ $trigger['asks'] ? 'would ask for the key' : 'does not matter to it' }}</li>@endforeach</ul>@endif
@if ($a['encryption']['at_the_prompt'] !== [])<details><summary>If it asks for its recovery key</summary><ol>@foreach ($a['encryption']['at_the_prompt'] as $line)<li>{{ $line }}</li>@endforeach</ol></details>@endif</section>@endif
@if (isset($a['backup']))<section class="panel"><h2>Backup</h2>
@php($decision = collect($p->decisions)->firstWhere('id', 'assess.backup'))
@if ($decision)<p><b>{{ ucfirst($decision->chosen) }}.</b> {{ implode(' ', $decision->reasons) }}</p>@endif
@if (($a['backup']['not_covered'] ?? []) !== [])<p class="wrong">Not covered: {{ implode('; ', $a['backup']['not_covered']) }}.</p>@endif
<p><a href="/jobs/{{ $job->id }}/backup">Compare both sides file by file</a></p></section>@endif
@if (($a['memory'] ?? null) !== null)<section class="panel"><h2>Memory</h2><p>{{ $a['memory']['sentence'] }}</p>@if ($a['memory']['next'])<p><b>Next test:</b> {{ $a['memory']['next']['sentence'] }}</p>@endif<p><a href="/jobs/{{ $job->id }}/memory">Memory sheet</a></p></section>@endif
@if (($a['support'] ?? []) !== [] || ($a['depends'] ?? []) !== [])<section class="panel"><h2>Support, and what the owner depends on</h2><ul>@foreach ($a['support'] ?? [] as $end)<li @class(['wrong' => ($end['days'] ?? 1) < 0])>{{ $end['sentence'] }}</li>@endforeach @foreach ($a['depends'] ?? [] as $gap)<li><b>{{ $gap['what'] }}</b>: {{ $gap['standing'] }}. {{ $gap['why'] }}</li>@endforeach</ul></section>@endif
@if (($a['ports'] ?? []) !== [])<section class="panel"><h2>Sockets, stage by stage</h2><table class="plain"><tbody>@foreach ($a['ports'] as $stage)<tr><td><b>{{ $stage['stage'] }}</b></td><td>@foreach ($stage['uses'] as $use){{ $use['what'] }} → {{ $use['port'] }}<br>@endforeach<span class="{{ $stage['charges'] === false ? 'hands' : 'fine' }}">{{ implode(': ', array_filter([match ($stage['charges']) { true => 'it charges', false => 'it does not charge', null => '' }, $stage['note']])) }}</span></td></tr>@endforeach</tbody></table></section>@endif
</div>
<section class="panel decisions"><h2>Decisions</h2>@foreach ($p->decisions as $decision)<details><summary>{{ $decision->title }}: <b>{{ $decision->chosen }}</b> <span class="rule">{{ $decision->rule }}</span></summary><p>{{ implode(' ', $decision->reasons) }}</p>@if ($decision->refused !== [])<ul>@foreach ($decision->refused as $option => $reasons)<li><s>{{ $option }}</s>: {{ implode(' ', $reasons) }}</li>@endforeach</ul>@endif<p class="src">{{ implode(' · ', $decision->facts) }}</p></details>@endforeach</section>
@endsection
