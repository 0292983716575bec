@props(['rows'])
<div class="table-responsive" tabindex="0">
<table class="plain rows stack">
<thead><tr>
@foreach (array_keys($rows[0]) as $head)
<th>{{ $head }}</th>
@endforeach
</tr></thead>
<tbody>
@foreach ($rows as $row)
<tr>
@foreach ($row as $head => $cell)
<td class="{{ \App\View\RowWords::role($head) }}"
 @unless ($loop->first) data-label="{{ $head }}" @endunless>{{ $cell }}</td>
@endforeach
</tr>
@endforeach
</tbody>
</table>
</div>
