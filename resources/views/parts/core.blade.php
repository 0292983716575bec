<figure class="core">
<figcaption>
<b>{{ $core->title }}</b> · <span title="{{ $core->exact() }}">{{ $core->size() }}</span>. {{ $core->note }}
</figcaption>
<svg viewBox="0 0 360 {{ $core->drawing->height() }}" role="img" aria-label="{{ $core->title }}, cut open:
 left {{ $core->sides[0] }}, right {{ $core->sides[1] }}. The table below says the same.">
@include('parts.textures')
<text class="side left" x="{{ $core->drawing->side(true) }}" y="16">{{ $core->sides[0] }}</text>
<text class="side right" x="{{ $core->drawing->side(false) }}" y="16">{{ $core->sides[1] }}</text>
@foreach ($core->drawing->bands as $band)
<path class="band {{ $band['role'] }}" d="{{ $band['path'] }}"/>
@if ($band['lost'])
<path class="teeth" d="{{ $core->drawing->teeth($band['y']) }}"/>
@endif
@endforeach
@if ($core->yet() !== null)
<path class="yet" d="{{ $core->yet() }}"/>
@endif
@foreach ($core->drawing->labels() as $label)
<path class="lead" d="{{ $label['lead'] }}"/>
<text class="part {{ $label['class'] }}" x="{{ $label['x'] }}" y="{{ $label['y'] }}">
<title>{{ $label['name'] }}: {{ $label['exact'] }}</title>{{ $label['short'] }}</text>
<text class="size {{ $label['end'] }}" x="{{ $label['x'] }}" y="{{ $label['below'] }}">{{ $label['size'] }}</text>
@endforeach
<path class="rim" d="{{ $core->drawing->rim() }}"/>
<path class="cut" d="{{ $core->drawing->cut() }}"/>
</svg>
<p class="fine">
{{ $core->drawing->legend() }} Teeth: lost. Depth grows with place to the power
{{ \App\Drawing\CoreDrawing::EXPONENT }}, so small parts stay visible.
</p>
<details>
<summary>Exact places</summary>
<div class="table-responsive" tabindex="0">
<table class="plain">
<thead>
<tr>
<th></th><th>part</th><th class="num">first sector</th><th class="num">sectors</th><th class="num">bytes</th>
</tr>
</thead>
<tbody>
@foreach ($core->rows() as $row)
<tr>
<td>{{ $row['side'] }}</td>
<td>{{ $row['name'] }} @if ($row['system'] !== '')<small>{{ $row['system'] }}</small>@endif</td>
<td class="num">{{ $row['first'] }}</td>
<td class="num">{{ $row['sectors'] }}</td>
<td class="num">{{ $row['bytes'] }}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
<p class="fine">{{ $core->table() }}</p>
</details>
</figure>
