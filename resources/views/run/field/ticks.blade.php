<span class="form-label">{{ $wanted->label }}</span>
<div class="choices">
@forelse ($field->items as $item)
<label>
<input type="checkbox" name="evidence[{{ $wanted->id }}][]" value="{{ $item }}"
 @checked($field->isTyped($item))> {{ $item }}
</label>
@empty
<span class="fine">Nothing came with it.</span>
@endforelse
</div>
