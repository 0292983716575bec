@extends('layout')
@section('title', "Handover of {$job->title}")
@section('page-class', 'paper')
@section('content')
@php($p = $progress->plan)
@php($done = fn (string $id) => ($step = $p->step($id)) ? $progress->doneAt($step) : null)
@php($zone = config('cobblestone.timezone'))
@php($evidence = fn (string $id) => optional($entries->where('step', $id)->where('kind', 'done')->last())->data['evidence'] ?? [])
@php($waived = $entries->where('kind', 'waived'))
<div class="sheet">
<header><div><b>Quillport Ferry Co-operative · device bench</b><br>Handover sheet</div><div class="num">job {{ sprintf('%04d', $job->id) }}<br>{{ ($job->isOpen() ? now() : $job->updated_at)->copy()->timezone($zone)->format('j F Y') }}</div></header>
@if ($job->isOpen())<p class="draft">Draft: the machine is not handed over yet. {{ count($progress->openPutBacks()) > 0 ? 'Still to put back: '.implode(', ', array_map(fn ($item) => $item['entry']->what, $progress->openPutBacks())).'.' : '' }}</p>@endif
<h1>{{ $job->title }}</h1>
<p>For {{ $p->job['owner'] }}. This is a {{ $p->job['machine'] }}. @if (\Cobblestone\Job\Goal::tryFrom($p->job['goal'])?->keepsSystem() ?? false)It was here to {{ ['firmware-update' => 'have its firmware updated', 'card-swap' => 'get another graphics card', 'repair' => 'be repaired', 'upgrade' => 'be upgraded to '.$p->job['system']][$p->job['goal']] }}; your programs and files were meant to stay.@else It {{ $job->isOpen() ? 'is to carry' : 'now carries' }} <b>{{ $p->job['system'] }}{{ $p->job['edition'] ? ' '.$p->job['edition'] : '' }}</b>, installed fresh.@endif</p>
<h2>What was done</h2>
<table class="plain"><tbody>
@foreach ([['protect.owner-word', 'You agreed to what would be lost'], ['protect.check-backup', 'Your files were copied, and the copy was proven'], ['hardware.swap-drive', 'The drive was exchanged; the old one was kept'], ['hardware.swap-card', 'The graphics card was exchanged'], ['target.erase', 'The drive was erased'], ['target.restore', 'Everything on it was erased'], ['install.factory', 'The maker\'s own image was put back'], ['install.restore', 'The system was restored over a cable'], ['install.revive', 'The system was revived; your data stayed'], ['install.upgrade', 'It was upgraded to '.$p->job['system']], ['firmware.re-enter', 'The firmware was updated and its settings entered again'], ['route.result', 'The fault is gone, tried twice'], ['install.phase-0', ($p->job['system'] ?? '').' was installed'], ['updates.system', 'Updates were installed'], ['drivers.audit', 'Every part was given its driver'], ['activation.check', 'Edition and activation were checked'], ['proof.readings', 'The machine was tested'], ['hand-over.give-back', 'You got it back']] as [$id, $words])
@if ($p->step($id))<tr><td>{{ $words }}</td><td class="num">@if ($at = $done($id)){{ \Illuminate\Support\Carbon::createFromTimestamp($at)->timezone($zone)->format('j M, H:i') }}@else not yet @endif</td></tr>@endif
@endforeach
</tbody></table>
<h2>Your files</h2>
@php($backup = $evidence('protect.check-backup'))
@if ($backup !== [])<p>{{ number_format((int) $backup['files_copy'], 0, '.', ' ') }} files were copied before the drive was erased, counted and compared on both sides; samples were opened. Look through them soon: after the agreed date the copy is deleted.</p>
@elseif ($waived->isNotEmpty())@foreach ($waived as $entry)<p>No proven copy was made. {{ $entry->data['agreed_by'] }} agreed in writing: “{{ $entry->data['text'] }}”</p>@endforeach
@elseif ($p->step('protect.back-up'))<p>Not copied yet.</p>@elseif (\Cobblestone\Job\Goal::tryFrom($p->job['goal'])?->keepsSystem() ?? false)<p>Your files stayed where they are; no copy was made for this work.</p>@elseif ($p->job['goal'] === 'drive-swap')<p>Your old drive was not erased: it was kept apart as it was.</p>@elseif ($p->job['goal'] === 'first-power-on')<p>The machine is new; there were none.</p>@else<p>You wanted nothing kept; no copy was made.</p>@endif
@if (($not = $p->assessment['backup']['not_covered'] ?? []) !== [])<p><b>Not copied:</b> {{ implode('; ', $not) }}.</p>@endif
<h2>What is different from before</h2>
@php($stays = array_merge(...array_map(fn ($step) => array_values(array_filter($step->opens, fn ($entry) => $entry->stays)), $p->steps)))
<ul>@forelse ($stays as $entry)<li><b>{{ $entry->what }}</b> stays like this on purpose. {{ $entry->why }} {{ ($signed = $evidence('put-back.sign')['signed_by'] ?? null) ? "Signed: {$signed}." : 'To be signed.' }}</li>@empty<li>{{ $job->isOpen() ? 'Nothing is meant to be left weaker than it was.' : 'Nothing was left weaker than it was. What was changed for the work has been put back.' }}</li>@endforelse
@if ($done('firmware.set'))@foreach ($p->step('firmware.set')->rows as $row)@if ($row['put back'] === 'stays' && ! str_starts_with($row['was'], $row['becomes']))<li>{{ $row['where'] }} is now “{{ $row['becomes'] }}”.</li>@endif @endforeach @endif</ul>
<h2>For the first days</h2>
<ul><li>You type the password yourself; nobody here has it. Keep it where only you find it.</li><li>The first hours may be slow while the system sets itself up.</li><li>Deleting is not secure erasure. Ask us before you pass an old drive on.</li></ul>
@php($take = $evidence('intake.take-in')['condition'] ?? null)
@php($along = $evidence('intake.take-in')['accessories'] ?? null)
@if ($take)<h2>How it came in</h2><p>{{ $take }}{{ $along ? ". With it: {$along}" : '' }}. {{ (['all' => 'All of it goes back.', 'missing' => 'Not all of it goes back: see the note.'][$evidence('hand-over.give-back')['accessories_back'] ?? ''] ?? '') }}</p>@endif
@if ($rollback)<h2>If you want the old system back</h2><p>{{ $rollback->sentence(\Cobblestone\Quantity\Moment::ofUnix(now()->timestamp, $zone), $progress->job->rollbackLost) }} Do not remove the old system's folder before.</p>@endif
<div class="sign"><div>handed over by</div><div>received by {{ $evidence('hand-over.give-back')['received_by'] ?? '' }}</div></div>
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button><a class="btn" href="/jobs/{{ $job->id }}">Back to the job</a></div>
@endsection
