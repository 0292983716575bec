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
<input type="hidden" name="before_clock" value="1">
@foreach ($page->given() as $id => $value)
<input type="hidden" name="evidence[{{ $id }}]" value="{{ $value }}">
@endforeach
<div class="row g-2">
@foreach ($page->fields($step) as $field)
<div class="{{ $field->width() }}">
@include("run.field.{$field->control()}", ['wanted' => $field->wanted])
</div>
@endforeach
</div>
<button class="btn go mt-2">{{ $page->isHomeward() ? 'They are home' : 'Open the gate with this' }}</button>
</x-act>
@endif
</section>
