<svg class="slots" style="max-width:{{ $slots->widest() }}px" viewBox="0 0 {{ $slots->width() }} {{ $slots::HEIGHT }}"
 role="img" aria-label="{{ $slots->words }}">
@foreach ($slots->slots as $slot)
<path class="slot-rail" d="{{ $slot['rail'] }}"/>
<path class="{{ $slot['class'] }}" d="{{ $slot['tile'] }}"/>
@if ($slot['module'] !== '')
<text x="{{ $slot['middle'] }}" y="66">{{ $slot['module'] }}</text>
@endif
<text class="small" x="{{ $slot['middle'] }}" y="84">{{ $slot['size'] }}</text>
<text class="small" x="{{ $slot['middle'] }}" y="143">{{ $slot['slot'] }}</text>
@endforeach
</svg>
