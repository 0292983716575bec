<label class="form-label" for="e-{{ $wanted->id }}">{{ $wanted->label }}
@if ($wanted->kind->wants() !== '')
<small class="fine">{{ $wanted->kind->wants() }}</small>
@endif
</label>
<input id="e-{{ $wanted->id }}" name="evidence[{{ $wanted->id }}]"
 class="form-control {{ $field->isProse() ? '' : 'mono' }}"
 {{ $field->attributes() }} value="{{ $field->typed }}" autocomplete="off" maxlength="4000">
