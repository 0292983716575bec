@extends('layout')
@section('title', "Intake of {$job->title}")
@section('content')
@php($a = $plan['assessment'] ?? [])
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">a change computes the path again; finished stones stay</span></header>
@include('jobs.tabs', ['tab' => 'intake'])
@if ($read = session('read'))
<section class="panel" role="status"><h2>{{ $read['new'] === [] ? 'Nothing new was read' : 'Read: '.implode(', ', $read['new']) }}</h2>
@if ($read['new'] === [] && $read['files'] > 0)<p>What was given says the same as before; nothing has changed.</p>@endif
@if ($read['problems'] !== [])<p><b>Left out:</b></p><ul>@foreach ($read['problems'] as $problem)<li>{{ $problem }}</li>@endforeach</ul>@endif</section>
@endif
@php($contradictions = $a['contradictions'] ?? [])
@if ($contradictions !== [])
<section class="panel"><h2>What sources say differently</h2><div class="table-responsive" tabindex="0"><table class="plain contradictions stack"><thead><tr><th>fact</th><th>used</th><th>set aside</th><th></th></tr></thead><tbody>
@foreach ($contradictions as $one)<tr class="{{ $one['settled_by'] === null ? 'open' : '' }}"><td class="mono">{{ $one['fact'] }}</td>
@foreach (['kept', 'set_aside'] as $side)<td>@php($fact = $one[$side])<b>{{ is_array($fact['value']) ? implode(', ', $fact['value']) : (is_bool($fact['value']) ? ($fact['value'] ? 'yes' : 'no') : (str_ends_with($fact['name'], '_bytes') && is_int($fact['value']) ? \Cobblestone\Quantity\Bytes::of($fact['value'])->binary() : $fact['value'])) }}</b><br><span class="fine">{{ $fact['origin'] }}{{ $fact['at'] ? ', '.\App\View\Words::moment($fact['at']) : '' }}</span>
@if (is_scalar($fact['value']) && $one['settled_by'] !== 'rule')<form method="post" action="/jobs/{{ $job->id }}/settle" class="mt-1">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><input type="hidden" name="fact" value="{{ $one['fact'] }}"><input type="hidden" name="value" value="{{ is_bool($fact['value']) ? ($fact['value'] ? 'yes' : 'no') : $fact['value'] }}"><button class="btn small">This is right</button></form>@endif</td>@endforeach
<td>{{ ['rule' => 'settled by rule: the first outranks the other', 'person' => 'settled by a person'][$one['settled_by'] ?? ''] ?? 'waits for you' }}</td></tr>@endforeach
</tbody></table></div></section>
@endif
<form method="post" action="/jobs/{{ $job->id }}/readings" class="panel" enctype="multipart/form-data" hx-boost="false">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<h2>Read the machine</h2><div class="row g-3"><div class="col-md-5"><label class="form-label" for="files">A bundle or files</label><input id="files" type="file" name="files[]" multiple class="form-control" aria-describedby="files-help"><div class="form-text" id="files-help"><code>collector/cobblestone-collect</code> on any live system makes a bundle.</div>@include('parts.error', ['field' => 'files'])@foreach ($errors->get('files.*') as $messages)<p class="wrong">{{ $messages[0] }}</p>@endforeach</div>
<div class="col-md-7"><label class="form-label" for="output">Or paste what a tool printed</label><textarea id="output" name="output" class="form-control mono" rows="3" spellcheck="false" placeholder="lsblk -J -b, lshw -json, lspci -vmmnn, lsusb, dmidecode, smartctl -j -a, efibootmgr -v, mokutil --sb-state, a list of devices">{{ old('output') }}</textarea>@include('parts.error', ['field' => 'output'])</div></div>
<div class="acts"><button class="btn go">Read it</button>@foreach ($brief['machine']['readings'] ?? [] as $reading)<span class="fine">{{ $reading['tool'] }}{{ isset($reading['at']) ? ', '.\App\View\Words::moment($reading['at']) : '' }}</span>@endforeach</div></form>
<form method="post" action="/jobs/{{ $job->id }}/intake" class="panel intake">@csrf<input type="hidden" name="seen" value="{{ old('seen', $job->last_entry) }}">
@include('jobs.form')
<h2>What is known of the machine</h2>
@include('parts.error', ['field' => 'facts'])
<div class="table-responsive" tabindex="0"><table class="plain stack facts"><thead><tr><th>fact</th><th>value</th><th></th><th>from</th><th>correct it</th>@if ($plan['job']['model'])<th></th>@endif</tr></thead><tbody>
@foreach ($plan['facts'] as $fact)<tr><td class="mono">{{ $fact['name'] }}</td><td>{{ is_array($fact['value']) ? implode(', ', $fact['value']) : (str_ends_with($fact['name'], '_bytes') && is_int($fact['value']) ? \Cobblestone\Quantity\Bytes::of($fact['value'])->decimal() : (in_array($fact['name'], ['target.serial', 'target.drive'], true) ? \Cobblestone\Runbook\Confirmation::mask((string) $fact['value']) : (is_bool($fact['value']) ? ($fact['value'] ? 'yes' : 'no') : $fact['value']))) }}</td><td class="certainty {{ $fact['certainty'] }}">{{ $fact['certainty'] }}</td><td class="fine">{{ $fact['origin'] }}{{ $fact['at'] ? ', '.\App\View\Words::moment($fact['at']) : '' }}</td>
<td>@unless (in_array($fact['name'], ['target.serial', 'target.drive'], true))<input name="facts[{{ $fact['name'] }}]" class="form-control form-control-sm mono" aria-label="Correct {{ $fact['name'] }}" value="{{ old('facts')[$fact['name']] ?? ($brief['machine']['facts'][$fact['name']] ?? '') }}">@endunless</td>
@if ($plan['job']['model'])<td>@if ($fact['certainty'] === 'known' && is_scalar($fact['value']) && ! preg_match('/^(target|owner|drive|swap|machine\.(serial|kind))/', $fact['name']))<button class="btn small" form="learn" name="fact" value="{{ $fact['name'] }}" title="Keep for every {{ $plan['job']['machine'] }}">keep for the model</button>@endif</td>@endif</tr>@endforeach
</tbody></table></div>
@if ($plan['notes'] !== [])<details class="more" open><summary>Not understood, or contradictory: {{ count($plan['notes']) }}</summary><ul>@foreach ($plan['notes'] as $note)<li>{{ $note }}</li>@endforeach</ul></details>@endif
<div class="acts"><button class="btn go">Compute the path again</button></div>
</form>
<form id="learn" method="post" action="/jobs/{{ $job->id }}/learn" hidden>@csrf</form>
@endsection
