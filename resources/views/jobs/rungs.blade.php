<ol class="ladder">
@foreach ($rungs as $rung)
<li class="{{ $rung['standing'] }}">
<span class="rung-mark" aria-hidden="true"></span>
<div>
<b>{{ $rung['title'] }}</b> <span class="standing">{{ $rung['says'] }}</span>
<span class="fine">{{ $rung['keeps'] }}</span>
@if ($rung['why'] !== '')
<br><span class="fine why">{{ $rung['why'] }}</span>
@endif
</div>
@isset($job)
@if ($rung['triable'] && auth()->user()->mayWork() && $job->isOpen())
<x-act :to="'/jobs/'.$job->id.'/tried'" :seen="$job->last_entry">
<input type="hidden" name="rung" value="{{ $rung['id'] }}">
<button class="btn small">Tried, did not help</button>
</x-act>
@endif
@endisset
</li>
@endforeach
</ol>
