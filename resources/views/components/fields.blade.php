@props(['group'])
<details class="more" @if ($group->isOpen()) open @endif>
<summary>{{ $group->title }}</summary>
<div class="row g-3">
{{ $slot }}
@foreach ($group->fields as $field)
<x-field :field="$field"/>
@endforeach
</div>
</details>
