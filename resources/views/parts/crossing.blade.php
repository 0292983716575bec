@inject('crossing', 'App\Drawing\CrossingDrawing')
<ol class="stones-over" aria-label="{{ $crossing::words($stones) }}">
@foreach ($crossing::stones($stones, $seed) as $stone)
<li class="{{ $stone['kind'] }}">
<svg width="{{ $stone['width'] }}" height="{{ $crossing::HEIGHT }}" viewBox="{{ $stone['box'] }}" role="img">
<title>{{ $stone['name'] }}: {{ $stone['words'] }}</title><path d="{{ $stone['shape'] }}"/>
<text x="{{ $stone['middle'] }}" y="34">{{ $stone['name'] }}</text>
</svg>
</li>
@endforeach
<li class="bank {{ $reached ? 'reached' : '' }}">
<svg width="158" height="{{ $crossing::HEIGHT }}" viewBox="0 0 158 {{ $crossing::HEIGHT }}" aria-hidden="true">
<path d="{{ $crossing::bank($seed) }}"/>
</svg>
<span>{{ $bank }}
@unless ($reached)
<br>not reached
@endunless
</span>
</li>
</ol>
