@foreach ($page->beside->starts as $start)
<p class="predicted"><b>Predicted:</b> {{ $start->predicted }}.
@if ($start->said !== null)
<span class="holds">You said: {{ $start->said }}.</span>
@elseif ($page->mayWork && $job->isOpen())
<x-act :to="'/jobs/'.$job->id.'/rehearsal'" :seen="$job->last_entry" class="inline">
<input type="hidden" name="step" value="{{ $step->id }}">
<input type="hidden" name="number" value="{{ $start->number }}">
<input type="hidden" name="outcome" value="{{ $start->outcome }}">
<input type="hidden" name="stone" value="{{ $step->id }}">
<button class="btn small" name="of" value="as-predicted">It went so</button>
</x-act>
<a href="/jobs/{{ $job->id }}/rehearsal">It went otherwise</a>
@endif
</p>
@endforeach
