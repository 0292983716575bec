@props(['field'])
<div class="{{ $field->width }}">
<label class="form-label" for="{{ $field->id() }}">{{ $field->label }}</label>
@if ($field->options !== [])
<select id="{{ $field->id() }}" name="{{ $field->name }}" class="form-select">
@foreach ($field->options as $option => $words)
<option value="{{ $option }}" @selected($field->value === (string) $option)>{{ $words }}</option>
@endforeach
</select>
@else
<input id="{{ $field->id() }}" name="{{ $field->name }}" type="{{ $field->isDay() ? 'date' : 'text' }}"
 @if ($field->isNumber()) inputmode="numeric" @endif class="form-control {{ $field->mono ? 'mono' : '' }}"
 maxlength="{{ $field->most }}" placeholder="{{ $field->hint }}" value="{{ $field->value }}">
@endif
@include('parts.error', ['field' => $field->fault()])
</div>
