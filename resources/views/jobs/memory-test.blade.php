<x-act :to="'/jobs/'.$job->id.'/memory/tests'" :seen="$job->last_entry" class="memory-test">
<div class="row g-2">
@foreach ($page->slots() as $slot => $chosen)
<div class="col-6 col-md-3">
<label class="form-label" for="slot-{{ $loop->index }}">{{ $slot }}</label>
<select id="slot-{{ $loop->index }}" name="placed[{{ $slot }}]" class="form-select">
<option value="">empty</option>
@foreach ($page->modules() as $module)
<option @selected($chosen === $module)>{{ $module }}</option>
@endforeach
</select>
</div>
@endforeach
<div class="col-6 col-md-3">
<label class="form-label" for="test-profile">Speed</label>
<select id="test-profile" name="profile" class="form-select">
<option value="standard">standard</option>
<option value="faster" @selected($page->profile() === 'faster')>faster profile</option>
</select>
</div>
<div class="col-6 col-md-3">
<label class="form-label" for="passes">Passes</label>
<input id="passes" name="passes" inputmode="numeric" class="form-control mono" value="{{ $page->passes() }}">
@include('parts.error', ['field' => 'passes'])
</div>
</div>
@include('parts.error', ['field' => 'placed'])
<div class="choices mt-2">
<span class="form-label">What came of it</span>
@foreach ($page::OUTCOMES as $value => $words)
<label><input type="radio" name="outcome" value="{{ $value }}" @checked(old('outcome') === $value)> {{ $words }}</label>
@endforeach
</div>
@include('parts.error', ['field' => 'outcome'])
<div class="acts"><button class="btn go">Keep the result <kbd>Enter</kbd></button></div>
</x-act>
