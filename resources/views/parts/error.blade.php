@error($field)<p class="wrong" id="wrong-{{ $field }}" role="alert">{{ $message }}</p>@enderror
