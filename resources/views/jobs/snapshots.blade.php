<section class="panel" aria-labelledby="snapshots">
<h2 id="snapshots">Snapshots</h2>
@if ($page->snapshots->isEmpty())
<p>None yet. What was set before anything is changed is the only way back: record it first.</p>
@else
<form method="get" action="/jobs/{{ $job->id }}/settings#compared">
<table class="plain stack">
<thead><tr><th>from</th><th>to</th><th>when</th><th>by</th><th>settings</th><th></th></tr></thead>
<tbody>
@foreach ($page->taken() as $one)
<tr>
<td data-label="from">
<input type="radio" name="from" value="{{ $one['id'] }}" aria-label="compare from this one" @checked($one['from'])>
</td>
<td data-label="to">
<input type="radio" name="to" value="{{ $one['id'] }}" aria-label="compare to this one" @checked($one['to'])>
</td>
<td>{!! $one['at'] !!}</td>
<td class="fine">{{ $one['by'] }}</td>
<td>{{ $one['set'] }}</td>
<td>
@if ($one['photo'])
<a href="/jobs/{{ $job->id }}/settings/{{ $one['id'] }}/photo" hx-boost="false">photo</a>
@endif
</td>
</tr>
@endforeach
</tbody>
</table>
@if ($page->snapshots->count() > 1)
<div class="acts"><button class="btn">What differs</button></div>
@endif
</form>
@endif
@if ($difference = $page->difference())
<div id="compared">
<h3>{!! $difference['between'] !!}</h3>
@if ($difference['rows'] === [])
<p>Nothing differs.</p>
@else
<table class="plain">
<thead><tr><th>setting</th><th>was</th><th>is</th></tr></thead>
<tbody>
@foreach ($difference['rows'] as $row)
<tr><td><b>{{ $row['setting'] }}</b></td><td class="was">{{ $row['was'] }}</td><td class="to">{{ $row['is'] }}</td></tr>
@endforeach
</tbody>
</table>
@endif
</div>
@endif
</section>
