@if ($page->held() !== [])
<table class="plain stack held-rows">
<thead><tr><th>as expected</th><th>read</th><th>by</th></tr></thead>
<tbody>
@foreach ($page->held() as $row)
<tr><td>{{ $row->evidence->label }}</td>
<td class="mono" data-label="read">{{ $row->observed() }}
@if ($row->verdict() === 'within')
<span class="fine">within, expected {{ $row->expected() }}</span>
@endif
</td>
<td class="fine" data-label="by">{{ $row->observation->origin }}</td></tr>
@endforeach
</tbody>
</table>
@endif
