<x-act :to="'/jobs/'.$job->id.'/steps/'.$for->id.'/done'" :seen="$job->last_entry" class="evidence" id="evidence">
@includeWhen($table !== null, 'run.known')
<div class="row g-2">
@foreach (\App\View\EvidenceField::of($for, $page->progress, (array) old('evidence'), $table) as $field)
<div class="{{ $field->width() }}">
@include("run.field.{$field->control()}", ['wanted' => $field->wanted])
@if ($field->wanted->hint)
<div class="form-text mono">{{ $field->wanted->hint }}</div>
@endif
@include('parts.error', ['field' => $field->wanted->id])
@if ($field->mayBeOverruled(session('differs', []), auth()->user()->role))
<label class="form-label mt-1" for="a-{{ $field->wanted->id }}">It is so all the same, because</label>
<input id="a-{{ $field->wanted->id }}" name="accepted[{{ $field->wanted->id }}]" class="form-control"
 value="{{ old('accepted')[$field->wanted->id] ?? '' }}" maxlength="400">
@endif
</div>
@endforeach
</div>
@include('run.quick')
<button class="btn go mt-2">{{ $button }} <kbd>Enter</kbd></button>
</x-act>
