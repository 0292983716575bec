@php($d = $core['drawing'])
@php($left = \App\Drawing\CoreDrawing::left())
@php($width = \App\Drawing\CoreDrawing::core())
@php($sides = $core['sides'] ?? ['now', 'after'])
<figure class="core">
<figcaption><b>{{ $core['title'] }}</b> · <span title="{{ \Cobblestone\Quantity\Bytes::of($core['bytes'])->exact() }}">{{ \Cobblestone\Quantity\Bytes::of($core['bytes'])->decimal() }}, shown as {{ \Cobblestone\Quantity\Bytes::of($core['bytes'])->binary() }}</span>. {{ $core['note'] }}</figcaption>
<svg viewBox="0 0 360 {{ $d->height() }}" role="img" aria-label="{{ $core['title'] }}, cut open: left {{ $sides[0] }}, right {{ $sides[1] }}. The table below says the same.">
@include('parts.textures')
<text class="side left" x="{{ $left + $width / 2 - 8 }}" y="16">{{ $sides[0] }}</text><text class="side right" x="{{ $left + $width / 2 + 8 }}" y="16">{{ $sides[1] }}</text>
@foreach ($d->bands as $band)
<path class="band {{ $band['role'] }}" d="{{ $band['path'] }}"/>
@if ($band['lost'])<path class="teeth" d="M{{ $left + 4 }} {{ round($band['y'], 1) }}l5 4l5 -4l5 4l5 -4l5 4l5 -4l5 4l5 -4"/>@endif
@endforeach
@if (($core['filled'] ?? null) !== null && $core['filled'] < $core['bytes'])@php($from = $d->depth($core['filled']))
<path class="yet" d="M{{ $left + $width / 2 }} {{ round($from, 1) }}q{{ $width / 8 }} -4 {{ $width / 4 }} 0t{{ $width / 4 + 3 }} 0V{{ $d->depth($core['bytes']) }}H{{ $left + $width / 2 }}Z"/>@endif
@foreach ($d->labels as $label)
@php($x = $label['left'] ? $left - 12 : $left + $width + 12)
<path class="lead" d="M{{ $label['left'] ? $left - 3 : $left + $width + 3 }} {{ round($label['at'], 1) }}L{{ $x + ($label['left'] ? 3 : -3) }} {{ round($label['y'] - 3, 1) }}"/>
<text class="part {{ $label['left'] ? 'end' : '' }} {{ $label['lost'] ? 'lost' : '' }}" x="{{ $x }}" y="{{ round($label['y'], 1) }}"><title>{{ $label['name'] }}: {{ $label['exact'] }}</title>{{ \Illuminate\Support\Str::limit($label['name'], 17, '…') }}</text>
<text class="size {{ $label['left'] ? 'end' : '' }}" x="{{ $x }}" y="{{ round($label['y'] + 12, 1) }}">{{ $label['size'] }}</text>
@endforeach
<path class="rim" d="M{{ $left - 3 }} {{ $d->depth(0) }}H{{ $left + $width + 3 }}M{{ $left - 3 }} {{ $d->depth($core['bytes']) }}H{{ $left + $width + 3 }}"/>
<path class="cut" d="M{{ $left + $width / 2 }} {{ $d->depth(0) - 8 }}V{{ $d->depth($core['bytes']) + 8 }}"/>
</svg>
<p class="fine">{{ $d->legend() }} Teeth: lost. Depth grows with place to the power {{ \App\Drawing\CoreDrawing::EXPONENT }}, so small parts stay visible.</p>
<details><summary>Exact places</summary>
<div class="table-responsive" tabindex="0"><table class="plain"><thead><tr><th></th><th>part</th><th class="num">first sector</th><th class="num">sectors</th><th class="num">bytes</th></tr></thead><tbody>
@foreach ($core['now'] ?? [] as $part)<tr><td>{{ $sides[0] }}</td><td>{{ $part['name'] }}</td><td class="num">{{ $part['first_sector'] ?? '–' }}</td><td class="num">{{ $part['sectors'] ?? '–' }}</td><td class="num">{{ number_format($part['bytes'], 0, '.', ' ') }}</td></tr>@endforeach
@foreach ($core['after'] as $part)<tr><td>{{ $sides[1] }}</td><td>{{ $part['name'] }} <small>{{ $part['file_system'] }}</small></td><td class="num">{{ $part['first_sector'] }}</td><td class="num">{{ $part['sectors'] }}</td><td class="num">{{ number_format($part['bytes'], 0, '.', ' ') }}</td></tr>@endforeach
</tbody></table></div>
<p class="fine">{{ strtoupper($core['layout']['scheme']) }}, sectors of {{ $core['layout']['sector_bytes'] }} bytes, {{ number_format($core['layout']['device_sectors'], 0, '.', ' ') }} in all.</p></details>
</figure>
