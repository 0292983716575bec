<section class="panel">
<h2>What sources say differently</h2>
<div class="table-responsive" tabindex="0">
<table class="plain contradictions stack">
<thead><tr><th>fact</th><th>used</th><th>set aside</th><th></th></tr></thead>
<tbody>
@foreach ($page->contradictions() as $one)
<tr class="{{ $one['open'] ? 'open' : '' }}">
<td class="mono">{{ $one['fact'] }}</td>
@foreach ($one['sides'] as $side)
<td>
<b>{{ $side['value'] }}</b><br><span class="fine">{{ $side['from'] }}</span>
@if ($side['settles'] !== null)
<x-act :to="'/jobs/'.$job->id.'/settle'" :seen="$job->last_entry" class="mt-1">
<input type="hidden" name="fact" value="{{ $one['fact'] }}">
<input type="hidden" name="value" value="{{ $side['settles'] }}">
<button class="btn small">This is right</button>
</x-act>
@endif
</td>
@endforeach
<td>{{ $one['settled'] }}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
</section>
