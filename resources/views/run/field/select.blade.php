<label class="form-label" for="e-{{ $wanted->id }}">{{ $wanted->label }}</label>
<select id="e-{{ $wanted->id }}" name="evidence[{{ $wanted->id }}]" class="form-select">
<option value=""></option>
@foreach ($wanted->options as $option => $words)
<option value="{{ $option }}" @selected($field->isTyped((string) $option))>{{ $words }}</option>
@endforeach
</select>
