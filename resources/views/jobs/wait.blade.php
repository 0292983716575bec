@if (! $progress->job->waiting && $job->isOpen() && auth()->user()->mayWork())
<details class="more" @if ($errors->hasAny(['for', 'remind', 'wait_text'])) open @endif>
<summary>It waits for somebody</summary>
<x-act :to="'/jobs/'.$job->id.'/state/wait'" :seen="$job->last_entry">
<div class="choices">
@foreach (\Cobblestone\Bench\Reminders::WAITING_FOR as $value => $words)
<label><input type="radio" name="for" value="{{ $value }}" @checked(old('for') === $value)> {{ $words }}</label>
@endforeach
</div>
@include('parts.error', ['field' => 'for'])
<label class="form-label" for="wait-text">What is missing</label>
<input id="wait-text" name="wait_text" class="form-control" maxlength="400" value="{{ old('wait_text') }}">
<label class="form-label mt-2" for="remind">Remind on</label>
<input id="remind" name="remind" type="date" class="form-control mono" value="{{ old('remind') }}">
@include('parts.error', ['field' => 'remind'])
<button class="btn mt-2">Let it wait</button>
</x-act>
</details>
@endif
