@extends('layout')
@section('title', "Backup of {$job->title}")
@section('content')
@php($p = $progress->plan)
@php($a = $p->assessment['backup'] ?? null)
@php($step = $p->step(\Cobblestone\Assessment\BackupEvidence::STEP))
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">backup, both sides compared</span></header>
@include('jobs.tabs', ['tab' => 'backup'])
@foreach ($errors->all() as $message)<p class="wrong" role="alert">{{ $message }}</p>@endforeach
@if ($compared)
<section class="panel {{ $compared->proves() ? 'holds-panel' : 'stop-panel' }}" role="status"><h2>{{ $compared->sentence() }}</h2>
<p class="fine">{{ number_format($compared->source, 0, '.', ' ') }} files in the originals{{ $compared->rootSource ? " below {$compared->rootSource}" : '' }}, {{ number_format($compared->copy, 0, '.', ' ') }} in the copy{{ $compared->rootCopy ? " below {$compared->rootCopy}" : '' }}; {{ number_format($compared->proven, 0, '.', ' ') }} with equal checksums.</p>
@foreach ([['Missing in the copy', $compared->missing, $compared->missingCount], ['Differ', $compared->differing, $compared->differingCount], ['Only in the copy', $compared->besides, $compared->besidesCount]] as [$title, $paths, $many])@if ($paths !== [])<h3>{{ $title }}: {{ number_format($many, 0, '.', ' ') }}</h3><ul class="paths">@foreach (array_slice($paths, 0, 200) as $path)<li>{{ $path }}</li>@endforeach @if ($many > 200)<li>and {{ number_format($many - 200, 0, '.', ' ') }} more</li>@endif</ul>@endif @endforeach
@foreach ($notes as $note)<p class="fine">{{ $note }}</p>@endforeach
@if ($compared->proves() && $step && ! $progress->state($step)->isClosed() && $progress->missing($step) === [] && auth()->user()->mayWork())
<form method="post" action="/jobs/{{ $job->id }}/steps/{{ $step->id }}/done" class="evidence">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<input type="hidden" name="evidence[files_source]" value="{{ $compared->source }}"><input type="hidden" name="evidence[files_copy]" value="{{ $compared->proven }}"><input type="hidden" name="before_clock" value="1"><input type="hidden" name="evidence[checksums]" value="equal">
<div class="row g-2"><div class="col-sm-4"><label class="form-label" for="b1">Bytes in the original folders</label><input id="b1" class="form-control mono" inputmode="numeric" name="evidence[bytes_source]" value="{{ $bytes['source'] }}"></div><div class="col-sm-4"><label class="form-label" for="b2">Bytes in the copy</label><input id="b2" class="form-control mono" inputmode="numeric" name="evidence[bytes_copy]" value="{{ $bytes['copy'] }}"></div><div class="col-sm-4"><label class="form-label" for="b3">Kinds of file opened from the copy</label><input id="b3" class="form-control mono" inputmode="numeric" name="evidence[samples]"></div></div>
<button class="btn go mt-2">Open the gate with this</button></form>
@endif
</section>
@endif
@if ($a)<section class="panel"><h2>{{ ['some' => 'Something is kept', 'nothing' => 'Nothing is kept', 'blank' => 'The drive is blank'][$a['keep']] ?? 'Not asked yet' }}</h2>
@if (isset($a['need_bytes']))<p>{{ \Cobblestone\Quantity\Bytes::of($a['bytes'])->decimal() }} to copy, {{ \Cobblestone\Quantity\Bytes::of($a['need_bytes'])->decimal() }} with the margin, to {{ $a['destination'] }}; about {{ round($a['minutes']['likely']) }} min.</p>@endif
@if (($a['folders'] ?? []) !== [])<p>Covered: {{ implode(', ', $a['folders']) }}.</p>@endif
@if (($a['not_covered'] ?? []) !== [])<p class="wrong">Not covered: {{ implode('; ', $a['not_covered']) }}.</p>@endif</section>@endif
<form method="post" action="/jobs/{{ $job->id }}/backup" class="panel" enctype="multipart/form-data" hx-boost="false">@csrf
<h2>Compare both sides</h2><p class="fine">On each side: <code>find . -type f -exec sha256sum {} +</code>. Or, without checksums, <code>find . -type f -printf '%s\t%p\n'</code>. Both together are read too.</p>
<div class="row g-3">@foreach (['source' => 'Originals', 'copy' => 'Copy'] as $side => $title)<div class="col-md-6"><label class="form-label" for="{{ $side }}">{{ $title }}</label><textarea id="{{ $side }}" name="{{ $side }}" class="form-control mono" rows="5" spellcheck="false">{{ $typed[$side] ?? old($side) }}</textarea><input type="file" name="{{ $side }}_file" class="form-control mt-1" aria-label="{{ $title }} as a file">@include('parts.error', ['field' => $side])@include('parts.error', ['field' => "{$side}_file"])</div>@endforeach</div>
@if (auth()->user()->mayWork())<div class="acts"><button class="btn go">Compare</button></div>@endif</form>
@endsection
