@php($d = $core['drawing'])
@php($left = \App\Drawing\CoreDrawing::left())
@php($width = \App\Drawing\CoreDrawing::core())
<figure class="core">
<figcaption><b>{{ $core['title'] }}</b> · <span title="{{ \Cobblestone\Quantity\Bytes::of($core['bytes'])->exact() }}">{{ \Cobblestone\Quantity\Bytes::of($core['bytes'])->decimal() }}, shown as {{ \Cobblestone\Quantity\Bytes::of($core['bytes'])->binary() }}</span>. {{ $core['note'] }}</figcaption>
<svg viewBox="0 0 360 {{ $d->height() }}" role="img" aria-label="{{ $core['title'] }}, cut open: left as it is now, right as it will be. The table below says the same.">
@include('parts.textures')
<text class="side" x="{{ $left + $width / 4 }}" y="16">now</text><text class="side" x="{{ $left + $width * 0.75 }}" y="16">after</text>
@foreach ($d->bands as $band)
<path class="band {{ $band['role'] }}" d="{{ $band['path'] }}"/>
@if ($band['lost'])<path class="teeth" d="M{{ $left + 4 }} {{ round($band['y'], 1) }}l5 4l5 -4l5 4l5 -4l5 4l5 -4l5 4l5 -4"/>@endif
@endforeach
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
@foreach ($core['now'] ?? [] as $part)<tr><td>now</td><td>{{ $part['name'] }}</td><td class="num">{{ $part['first_sector'] ?? '–' }}</td><td class="num">{{ $part['sectors'] ?? '–' }}</td><td class="num">{{ number_format($part['bytes'], 0, '.', ' ') }}</td></tr>@endforeach
@foreach ($core['after'] as $part)<tr><td>after</td><td>{{ $part['name'] }} <small>{{ $part['file_system'] }}</small></td><td class="num">{{ $part['first_sector'] }}</td><td class="num">{{ $part['sectors'] }}</td><td class="num">{{ number_format($part['bytes'], 0, '.', ' ') }}</td></tr>@endforeach
</tbody></table></div>
<p class="fine">{{ strtoupper($core['layout']['scheme']) }}, sectors of {{ $core['layout']['sector_bytes'] }} bytes, {{ number_format($core['layout']['device_sectors'], 0, '.', ' ') }} in all.</p></details>
</figure>
