@foreach ($shut as $gate)
<section class="gate-card {{ $gate->kind->value }}" aria-label="{{ ucfirst($gate->kind->word()) }}"><h2><svg width="26" height="30" viewBox="0 0 26 30" aria-hidden="true"><path d="M4 2V28M22 2V28M4 8H22M4 16H22"/></svg><span>{{ ucfirst($gate->kind->word()) }}{{ $gate->question ? '' : ": {$gate->title}" }}</span></h2>
@if ($gate->facts !== [])<p class="fine">Rests on: {{ rtrim(implode("; ", $gate->facts), ".") }}. <span class="rule">{{ $gate->rule }}</span></p>@endif
@if ($gate->question)
<form method="post" action="/jobs/{{ $job->id }}/answers" class="questions here">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><input type="hidden" name="stone" value="{{ $step->id }}">
@include('parts.question-field', ['question' => $gate->question])
@include('parts.error', ['field' => 'facts'])
<button class="btn go">Answer <kbd>Enter</kbd></button></form>
@elseif ($gate->opener && $gate->opener->evidence !== [] && $progress->missing($gate->opener) === [])
@include('run.evidence', ['for' => $gate->opener, 'button' => 'Open the gate'])
@elseif ($gate->opener)
<p>It opens with the stone <a href="?stone={{ $gate->opener->id }}">{{ $gate->opener->title }}</a>@if ($progress->missing($gate->opener) !== []), which itself waits until {{ implode(', and ', array_map(\Cobblestone\Runbook\PathFact::spoken(...), $progress->missing($gate->opener))) }}@endif.</p>
@elseif ($gate->id === 'stop-memory')
<p>It opens when the <a href="/jobs/{{ $job->id }}/memory" data-key="m">memory sheet</a> says that the fault is found, or that two passes at standard speed are clean.</p>
@elseif ($gate->opens === \Cobblestone\Runbook\OpensBy::Reading)
<form method="post" action="/jobs/{{ $job->id }}/readings" class="questions here">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><input type="hidden" name="stone" value="{{ $step->id }}">
<label class="form-label" for="r-{{ $loop->index }}">A new reading opens it: paste what the tool prints</label><textarea id="r-{{ $loop->index }}" name="output" class="form-control mono" rows="3" spellcheck="false">{{ old('output') }}</textarea>@include('parts.error', ['field' => 'output'])
<button class="btn go mt-2">Read it</button> <a class="btn mt-2" href="/jobs/{{ $job->id }}/intake">Upload or change the intake</a></form>
@elseif ($gate->opens === \Cobblestone\Runbook\OpensBy::Nothing)
<p>Nothing opens it on this job.</p>
@elseif (str_starts_with($gate->id, 'rehearsal-'))
<p>See <a href="/jobs/{{ $job->id }}/rehearsal">the rehearsal</a>: its cheapest way out changes the path and opens this.</p>
@else
<p>It opens with another choice: <a href="/jobs/{{ $job->id }}/intake" data-key="i">change the intake</a> of this job.</p>
@endif
@if (in_array(auth()->user()->role, $gate->waivableBy, true))
<details @if ($errors->hasAny(['agreed_by']) && old('gate') === $gate->id) open @endif><summary>Waive it in writing</summary><form method="post" action="{{ $action('waive') }}">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}"><input type="hidden" name="gate" value="{{ $gate->id }}">
<label class="form-label" for="agreed-{{ $loop->index }}">Who agreed</label><input id="agreed-{{ $loop->index }}" name="agreed_by" class="form-control" value="{{ old('gate') === $gate->id ? old('agreed_by') : '' }}" required>@include('parts.error', ['field' => 'agreed_by'])
<label class="form-label mt-2" for="waive-{{ $loop->index }}">To what, in their words</label><textarea id="waive-{{ $loop->index }}" name="text" class="form-control" rows="2" required>{{ old('gate') === $gate->id ? old('text') : '' }}</textarea><button class="btn stop mt-2">Waive it</button></form></details>
@elseif ($gate->waivableBy !== [])<p class="fine">A {{ implode(' or a ', $gate->waivableBy) }} may waive it in writing.</p>@endif
</section>
@endforeach
