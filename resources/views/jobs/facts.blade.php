<h2>What is known of the machine</h2>
@include('parts.error', ['field' => 'facts'])
<div class="table-responsive" tabindex="0">
<table class="plain stack facts">
<thead>
<tr>
<th>fact</th><th>value</th><th></th><th>from</th><th>correct it</th>
@if ($page->ofModel())
<th></th>
@endif
</tr>
</thead>
<tbody>
@foreach ($page->facts() as $fact)
<tr>
<td class="mono">{{ $fact['name'] }}</td>
<td>{{ $fact['value'] }}</td>
<td class="certainty {{ $fact['certainty'] }}">{{ $fact['certainty'] }}</td>
<td class="fine">{{ $fact['from'] }}</td>
<td>
@if ($fact['typed'] !== null && $fact['options'] !== [])
<select id="{{ $fact['id'] }}" name="facts[{{ $fact['name'] }}]" class="form-select form-select-sm"
 aria-label="Correct {{ $fact['name'] }}">
<option value="">as it is</option>
@foreach ($fact['options'] as $word)
<option @selected($fact['typed'] === $word)>{{ $word }}</option>
@endforeach
</select>
@elseif ($fact['typed'] !== null)
<input id="{{ $fact['id'] }}" name="facts[{{ $fact['name'] }}]" class="form-control form-control-sm mono"
 aria-label="Correct {{ $fact['name'] }}" value="{{ $fact['typed'] }}">
@endif
</td>
@if ($page->ofModel())
<td>
@if ($fact['learnable'])
<button class="btn small" form="learn" name="fact" value="{{ $fact['name'] }}"
 title="Keep for every {{ $page->machine() }}">keep for the model</button>
@endif
</td>
@endif
</tr>
@endforeach
</tbody>
</table>
</div>
