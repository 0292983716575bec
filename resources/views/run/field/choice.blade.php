<span class="form-label">{{ $wanted->label }}</span>
<div class="choices">
@foreach ($wanted->options as $option => $words)
<label>
<input type="radio" name="evidence[{{ $wanted->id }}]" value="{{ $option }}"
 @checked($field->isTyped((string) $option))> {{ $words }}
</label>
@endforeach
</div>
