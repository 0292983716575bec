<section class="panel" id="started-here">
<h2>Started here</h2>
@if ($missing !== '')
<p>{{ $missing }}</p>
@elseif ($mayWork && $isThere)
<x-act :to="$back.'/starts'" class="start-here">
<label class="form-label" for="as">Start it in an emulated machine, which writes nothing to it:</label>
<select id="as" name="as" class="form-select">
@foreach ($kinds as $kind => $words)
<option value="{{ $kind }}">{{ $words }}</option>
@endforeach
@foreach ($rows as $row)
<option value="{{ $row->id }}">as {{ $row->title }} is delivered</option>
@endforeach
</select>
<button class="btn go" data-key="s">Start it here <kbd>s</kbd></button>
</x-act>
@include('parts.error', ['field' => 'as'])
@endif
@if ($lines === [])
<p class="fine">Nobody has started it here yet.</p>
@else
<table class="plain stack">
<thead><tr><th>when</th><th>machine</th><th>predicted</th><th>started here</th><th></th></tr></thead>
<tbody>
@foreach ($lines as $line)
<tr>
<td><a href="/starts/{{ $line->start->id }}">{!! \App\View\Words::time($line->start->created_at) !!}</a></td>
<td data-label="machine">{{ $line->machine() }}</td>
<td data-label="predicted">{{ $line->predicted() }}</td>
<td data-label="started here"><b>{{ $line->startedHere() }}</b></td>
<td>{{ $line->verdict() }}</td>
</tr>
@endforeach
</tbody>
</table>
@endif
</section>
