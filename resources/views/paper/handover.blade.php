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
<p>For {{ $p->job['owner'] }}. This is a {{ $p->job['machine'] }}. It {{ $job->isOpen() ? 'is to carry' : 'now carries' }} <b>{{ $p->job['system'] }}{{ $p->job['edition'] ? ' '.$p->job['edition'] : '' }}</b>, installed fresh.</p>
<h2>What was done</h2>
<table class="plain"><tbody>
@foreach ([['protect.owner-word', 'You agreed to what would be lost'], ['protect.check-backup', 'Your files were copied, and the copy was proven'], ['target.erase', 'The drive was erased'], ['install.phase-0', $p->job['system'].' was installed'], ['updates.system', 'Updates were installed'], ['drivers.audit', 'Every part was given its driver'], ['activation.check', 'Edition and activation were checked'], ['proof.readings', 'The machine was tested'], ['hand-over.give-back', 'You got it back']] as [$id, $words])
@if ($p->step($id))<tr><td>{{ $words }}</td><td class="num">@if ($at = $done($id)){{ \Illuminate\Support\Carbon::createFromTimestamp($at)->timezone($zone)->format('j M, H:i') }}@else not yet @endif</td></tr>@endif
@endforeach
</tbody></table>
<h2>Your files</h2>
@php($backup = $evidence('protect.check-backup'))
@if ($backup !== [])<p>{{ number_format((int) $backup['files_copy'], 0, '.', ' ') }} files were copied before the drive was erased, counted and compared on both sides; samples were opened. Look through them soon: after the agreed date the copy is deleted.</p>
@elseif ($waived->isNotEmpty())@foreach ($waived as $entry)<p>No proven copy was made. {{ $entry->data['agreed_by'] }} agreed in writing: “{{ $entry->data['text'] }}”</p>@endforeach
@elseif ($p->step('protect.back-up'))<p>Not copied yet.</p>@else<p>You wanted nothing kept; no copy was made.</p>@endif
<h2>What is different from before</h2>
@php($stays = array_merge(...array_map(fn ($step) => array_values(array_filter($step->opens, fn ($entry) => $entry->stays)), $p->steps)))
<ul>@forelse ($stays as $entry)<li><b>{{ $entry->what }}</b> stays like this on purpose. {{ $entry->why }} {{ ($signed = $evidence('put-back.sign')['signed_by'] ?? null) ? "Signed: {$signed}." : 'To be signed.' }}</li>@empty<li>{{ $job->isOpen() ? 'Nothing is meant to be left weaker than it was.' : 'Nothing was left weaker than it was. What was changed for the work has been put back.' }}</li>@endforelse
@if ($done('firmware.set'))@foreach ($p->step('firmware.set')->rows as $row)@if ($row['put back'] === 'stays' && ! str_starts_with($row['was'], $row['becomes']))<li>{{ $row['where'] }} is now “{{ $row['becomes'] }}”.</li>@endif @endforeach @endif</ul>
<h2>For the first days</h2>
<ul><li>You type the password yourself; nobody here has it. Keep it where only you find it.</li><li>The first hours may be slow while the system sets itself up.</li><li>Deleting is not secure erasure. Ask us before you pass an old drive on.</li></ul>
@php($take = $evidence('intake.take-in')['condition'] ?? null)
@if ($take)<h2>It came in with</h2><p>{{ $take }}</p>@endif
<div class="sign"><div>handed over by</div><div>received by {{ $evidence('hand-over.give-back')['received_by'] ?? '' }}</div></div>
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button><a class="btn" href="/jobs/{{ $job->id }}">Back to the job</a></div>
@endsection
