<form method="post" action="/jobs/{{ $job->id }}/steps/{{ $for->id }}/done" class="evidence" id="evidence">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<div class="row g-2">@foreach ($for->evidence as $wanted)
<div class="{{ $wanted->kind->isNumber() || $wanted->kind->value === 'size' || count($for->evidence) > 6 ? 'col-sm-6' : 'col-12' }}">
@if ($wanted->kind->value === 'choice')
@if (count($wanted->options) > 4)<label class="form-label" for="e-{{ $wanted->id }}">{{ $wanted->label }}</label><select id="e-{{ $wanted->id }}" name="evidence[{{ $wanted->id }}]" class="form-select"><option value=""></option>@foreach ($wanted->options as $option => $words)<option value="{{ $option }}" @selected((old('evidence')[$wanted->id] ?? '') === (string) $option)>{{ $words }}</option>@endforeach</select>
@else<span class="form-label">{{ $wanted->label }}</span><div class="choices">@foreach ($wanted->options as $option => $words)<label><input type="radio" name="evidence[{{ $wanted->id }}]" value="{{ $option }}" @checked((old('evidence')[$wanted->id] ?? '') === (string) $option)> {{ $words }}</label>@endforeach</div>@endif
@elseif ($wanted->kind->value === 'ticks')
<span class="form-label">{{ $wanted->label }}</span><div class="choices">@forelse (\Cobblestone\Runbook\EvidenceJudge::items($wanted->expected?->resolved($progress->evidence())->value ?? '') as $item)<label><input type="checkbox" name="evidence[{{ $wanted->id }}][]" value="{{ $item }}" @checked(in_array($item, (array) (old('evidence')[$wanted->id] ?? []), true))> {{ $item }}</label>@empty<span class="fine">Nothing came with it.</span>@endforelse</div>
@else<label class="form-label" for="e-{{ $wanted->id }}">{{ $wanted->label }}@if ($wanted->kind->wants() !== '') <small class="fine">{{ $wanted->kind->wants() }}</small>@endif</label><input id="e-{{ $wanted->id }}" name="evidence[{{ $wanted->id }}]" class="form-control {{ $wanted->kind->value === 'text' ? '' : 'mono' }}" {{ $wanted->kind->isNumber() ? 'inputmode=numeric' : '' }} {{ $wanted->kind->value === 'date' ? 'type=date' : '' }} value="{{ is_string(old('evidence')[$wanted->id] ?? '') ? old('evidence')[$wanted->id] ?? '' : '' }}" autocomplete="off" maxlength="4000">@endif
@if ($wanted->hint)<div class="form-text mono">{{ $wanted->hint }}</div>@endif
@include('parts.error', ['field' => $wanted->id])
@if (in_array($wanted->id, session('differs', []), true) && in_array(auth()->user()->role, $wanted->overruledBy, true))<label class="form-label mt-1" for="a-{{ $wanted->id }}">It is so all the same, because</label><input id="a-{{ $wanted->id }}" name="accepted[{{ $wanted->id }}]" class="form-control" value="{{ old('accepted')[$wanted->id] ?? '' }}" maxlength="400">@endif</div>
@endforeach</div>
@include('run.quick')
<button class="btn go mt-2">{{ $button }} <kbd>Enter</kbd></button></form>
