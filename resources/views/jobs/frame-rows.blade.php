<table class="plain stack">
<thead><tr><th></th><th class="num">a second</th><th class="num">slowest 1 %</th><th>with 95 % between</th>
<th>picture · power</th></tr></thead>
<tbody>
@foreach ($rows as $row)
<tr>
<td><b>{{ $row['moment'] }}</b><br><span class="fine">{{ $row['by'] }}, {!! $row['at'] !!}</span></td>
<td class="num mono" data-label="a second">{{ $row['rate'] }}</td>
<td class="num mono" data-label="slowest 1 %">{{ $row['low'] }}</td>
<td data-label="with 95 % between">{{ $row['interval'] }}<br><span class="fine">{{ $row['frames'] }} frames in
{{ $row['seconds'] }} s: {{ $row['logs'] }}</span>
@foreach ($row['notes'] as $note)
<br><span class="fine">{{ $note }}</span>
@endforeach
</td>
<td data-label="picture · power">{{ $row['picture'] }} · {{ $row['power'] }}</td>
</tr>
@endforeach
</tbody>
</table>
