<x-gate :gate="$gate">
@include("run.opens.{$gate->opens()}")
@if ($gate->mayBeWaivedBy(auth()->user()->role))
<details @if ($errors->hasAny(['agreed_by']) && old('gate') === $gate->id()) open @endif>
<summary>Waive it in writing</summary>
<x-act :to="$page->action('waive')" :seen="$job->last_entry">
<input type="hidden" name="gate" value="{{ $gate->id() }}">
<label class="form-label" for="agreed-{{ $loop->index }}">Who agreed</label>
<input id="agreed-{{ $loop->index }}" name="agreed_by" class="form-control"
 value="{{ old('gate') === $gate->id() ? old('agreed_by') : '' }}" required>
@include('parts.error', ['field' => 'agreed_by'])
<label class="form-label mt-2" for="waive-{{ $loop->index }}">To what, in their words</label>
<textarea id="waive-{{ $loop->index }}" name="text" class="form-control" rows="2" required>{{
    old('gate') === $gate->id() ? old('text') : ''
}}</textarea>
<button class="btn stop mt-2">Waive it</button>
</x-act>
</details>
@elseif ($gate->waivers() !== '')
<p class="fine">A {{ $gate->waivers() }} may waive it in writing.</p>
@endif
</x-gate>
