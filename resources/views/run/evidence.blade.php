<form method="post" action="/jobs/{{ $job->id }}/steps/{{ $for->id }}/done" class="evidence">@csrf<input type="hidden" name="seen" value="{{ $job->last_entry }}">
<div class="row g-2">@foreach ($for->evidence as $wanted)
@php($value = old('evidence')[$wanted->id] ?? '')
<div class="{{ in_array($wanted->kind, ['count', 'bytes'], true) ? 'col-sm-6' : 'col-12' }}">
@if ($wanted->kind === 'choice')<span class="form-label">{{ $wanted->label }}</span><div class="choices">@foreach ($wanted->options as $option => $words)<label><input type="radio" name="evidence[{{ $wanted->id }}]" value="{{ $option }}" @checked($value === (string) $option)> {{ $words }}</label>@endforeach</div>
@else<label class="form-label" for="e-{{ $wanted->id }}">{{ $wanted->label }}</label><input id="e-{{ $wanted->id }}" name="evidence[{{ $wanted->id }}]" class="form-control {{ $wanted->kind === 'text' ? '' : 'mono' }}" {{ $wanted->kind === 'text' ? '' : 'inputmode=numeric' }} value="{{ $value }}" autocomplete="off" maxlength="4000">@endif
@if ($wanted->hint)<div class="form-text mono">{{ $wanted->hint }}</div>@endif
@include('parts.error', ['field' => $wanted->id])</div>
@endforeach</div>
<button class="btn go mt-2">{{ $button }} <kbd>Enter</kbd></button></form>
