@if ($page->others() !== [])
<x-panel title="The register, for this job">
<table class="plain stack">
<thead><tr><th>stick</th><th>is</th><th>as it is</th><th>to be made</th></tr></thead>
<tbody>
@foreach ($page->others() as $one)
<tr>
<td><a href="/sticks/{{ $one->stick->id }}"><b>{{ $one->stick->name }}</b></a><br><span class="fine one-line">{{
    $one->stick->size()->decimal()
}} · {{ strtoupper($one->stick->connector) }}</span></td>
<td data-label="is"><span class="c-{{ $one->condition->value }}">{{ $one->condition->title() }}</span></td>
<td data-label="as it is">{{ $one->asItIs() }}</td>
<td data-label="to be made">
@if ($one->proposed)
<b>proposed</b>
@endif
{{ implode('; ', $one->against) }}
@if ($page->mayChoose($one))
<a class="btn small" href="?stick={{ $one->stick->id }}">Choose it</a>
@endif
</td>
</tr>
@endforeach
</tbody>
</table>
</x-panel>
@endif
