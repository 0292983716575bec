@if ($page->beside->symptoms !== [])
<p class="form-label">Seen at this stone before: is it one of these?</p>
<ul class="seen-before">
@foreach ($page->beside->symptoms as $symptom)
<li>
<x-act :to="$page->action('seen')" :seen="$job->last_entry">
<input type="hidden" name="symptom" value="{{ $symptom->id }}">
<button class="btn">{{ $symptom->name }}</button> <span class="fine">{{ $symptom->standing() }}</span>
</x-act>
</li>
@endforeach
</ul>
@endif
