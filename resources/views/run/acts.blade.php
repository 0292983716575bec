<div class="acts">
@if ($page->inTrouble)
<x-act :to="$page->action('retry')" :seen="$job->last_entry" class="ended">
<details @if ($errors->has('cause')) open @endif><summary>What it was, what helped</summary>
<label class="form-label" for="cause">What it was</label>
<input id="cause" name="cause" class="form-control" maxlength="400" value="{{ old('cause') }}">
@include('parts.error', ['field' => 'cause'])
<label class="form-label" for="fix">What helped</label>
<input id="fix" name="fix" class="form-control" maxlength="400" value="{{ old('fix') }}">
<p class="fine">The lead can put it into the index: whoever sees this at this stone is then offered it.</p>
</details>
<button class="btn go" data-key="t">Try again <kbd>t</kbd></button>
</x-act>
@elseif ($page->confirmation() === null)
@if ($step->evidence === [])
<x-act :to="$page->action('done')" :seen="$job->last_entry" id="done">
@include('run.quick')
@if ($step->isOneWay())
<button class="btn go" autofocus>Done <kbd>Enter</kbd></button>
@else
<button class="btn go">Done <kbd>space</kbd></button>
@endif
</x-act>
@endif
@if ($page->walksAway() !== null)
<x-act :to="$page->action('walk')" :seen="$job->last_entry">
<button class="btn walk" data-key="w">{{ $page->walksAway() }} <kbd>w</kbd></button>
</x-act>
@elseif ($page->runsSince() === null)
<x-act :to="$page->action('start')" :seen="$job->last_entry">
<button class="btn" data-key="s">Start the clock <kbd>s</kbd></button>
</x-act>
@endif
@endif
<button class="btn" type="button" data-opens="problem" data-key="p">Problem <kbd>p</kbd></button>
<a class="btn" href="/jobs/{{ $job->id }}/photos?stone={{ $step->id }}">Photo</a>
@include('run.says')
</div>
