<svg class="month-stones" viewBox="0 0 {{ $drawing::WIDTH }} {{ $drawing::HEIGHT }}" role="img"
 aria-label="Minutes lost in each month; the table says what cost them.">
<path class="water-line" d="{{ $drawing->water() }}"/>
@foreach ($drawing->stones as $stone)
@if ($stone['path'] !== '')
<path class="lost" d="{{ $stone['path'] }}"/>
<text x="{{ $stone['x'] }}" y="{{ $stone['top'] }}">{{ $stone['said'] }}</text>
@endif
<text class="month" x="{{ $stone['x'] }}" y="120">{{ $stone['label'] }}</text>
@endforeach
</svg>
