<section class="detour" aria-labelledby="detour-title">
<h2 id="detour-title">{{ $detour->title() }} <span class="fine">{{ $detour->since() }}</span></h2>
@foreach ($detour->tried() as $cause)
<p class="tried"><s>{{ $cause }}</s> <span class="fine">tried, did not help</span></p>
@endforeach
@if ($detour->first() !== [])
<p><b>First, before anything else:</b></p>
<ol>
@foreach ($detour->first() as $line)
<li>{{ $line }}</li>
@endforeach
</ol>
@if ($page->mayWork)
<x-act :to="$page->action('first')" :seen="$job->last_entry">
<button class="btn go">All of it is done</button>
</x-act>
@endif
@elseif ($cause = $detour->cause())
<p class="cause"><span class="fine">{{ $detour->place() }}</span><br>{{ $cause->cause }} <b>{{ $cause->fix }}</b>
@if ($cause->putBack !== null)
<br><span class="fine">It opens an entry on the put-back list: {{ lcfirst($cause->putBack) }}.</span>
@endif
</p>
@if ($page->mayWork)
<div class="acts">
@foreach (['helped' => 'It helped', 'tried' => 'It did not'] as $action => $words)
<x-act :to="$page->action($action)" :seen="$job->last_entry">
<input type="hidden" name="cause" value="{{ $cause->cause }}">
<button class="btn {{ $action === 'helped' ? 'go' : '' }}">{{ $words }}</button>
</x-act>
@endforeach
</div>
@endif
@else
<p><b>Nothing of it helped.</b> Call the lead, and write down as a note what was seen.</p>
@endif
@if ($detour->nextTest() !== '')
<p><b>Next test:</b> {{ $detour->nextTest() }}</p>
@endif
@if ($detour->onlyLead())
<p class="fine">Only the lead goes on from here.</p>
@endif
</section>
