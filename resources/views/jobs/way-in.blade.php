<section class="panel way-in" aria-labelledby="way-{{ $id }}">
<h2 id="way-{{ $id }}">{{ $name }} <span class="toward">{{ $when }}</span></h2>
@include('parts.presses')
<p class="src">{{ ucfirst($way->source) }}</p>
<table class="plain stack">
<thead>
<tr>
<th>way</th><th>known from</th><th class="num">worked</th><th class="num">missed</th><th class="num">sure</th>
@if ($mayCount)
<th></th>
@endif
</tr>
</thead>
<tbody>
@foreach ($way->ranking as $ranked)
<tr>
<td><b>{{ $ranked->way->spoken() }}</b></td><td>{{ $page->from($ranked) }}</td>
<td class="num" data-label="worked">{{ $ranked->worked }}</td>
<td class="num" data-label="missed">{{ $ranked->missed }}</td>
<td class="num" data-label="sure">{{ $ranked->percent() }} %</td>
@if ($mayCount)
<td>
<x-act :to="'/jobs/'.$job->id.'/ways-in'" class="inline">
<input type="hidden" name="reaches" value="{{ $id }}">
<input type="hidden" name="way" value="{{ $ranked->way->name() }}">
<button class="btn small" name="worked" value="yes">It worked</button>
<button class="btn small" name="worked" value="no">It did not</button>
</x-act>
</td>
@endif
</tr>
@endforeach
</tbody>
</table>
<p class="fine">
Missed the moment? Power fully off, not restart; then earlier.
@if ($mayCount)
Every try on this page is counted.
@endif
</p>
</section>
