<section class="panel {{ $compared->proves() ? 'holds-panel' : 'stop-panel' }}" role="status">
<h2>{{ $compared->sentence() }}</h2>
<p class="fine">{{ $page->counts() }}</p>
@foreach ($page->differences() as $kind)
<h3>{{ $kind['title'] }}</h3>
<ul class="paths">
@foreach ($kind['paths'] as $path)
<li>{{ $path }}</li>
@endforeach
@if ($kind['more'] !== '')
<li>{{ $kind['more'] }}</li>
@endif
</ul>
@endforeach
@foreach ($page->notes as $note)
<p class="fine">{{ $note }}</p>
@endforeach
@if (auth()->user()->mayWork() && ($step = $page->opens()))
<x-act :to="'/jobs/'.$job->id.'/steps/'.$step->id.'/done'" :seen="$job->last_entry" class="evidence">
<input type="hidden" name="evidence[files_source]" value="{{ $compared->source }}">
<input type="hidden" name="evidence[files_copy]" value="{{ $compared->proven }}">
<input type="hidden" name="before_clock" value="1">
<input type="hidden" name="evidence[checksums]" value="equal">
<div class="row g-2">
<div class="col-sm-4">
<label class="form-label" for="b1">Bytes in the original folders</label>
<input id="b1" class="form-control mono" inputmode="numeric" name="evidence[bytes_source]"
 value="{{ $page->bytes['source'] ?? '' }}">
</div>
<div class="col-sm-4">
<label class="form-label" for="b2">Bytes in the copy</label>
<input id="b2" class="form-control mono" inputmode="numeric" name="evidence[bytes_copy]"
 value="{{ $page->bytes['copy'] ?? '' }}">
</div>
<div class="col-sm-4">
<label class="form-label" for="b3">Kinds of file opened from the copy</label>
<input id="b3" class="form-control mono" inputmode="numeric" name="evidence[samples]">
</div>
</div>
<button class="btn go mt-2">Open the gate with this</button>
</x-act>
@endif
</section>
