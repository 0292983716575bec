<svg class="frames battery" viewBox="0 0 {{ $drawing::WIDTH }} {{ $drawing::HEIGHT }}" role="img"
 aria-label="Hours over power limits; the table says the same.">
@foreach ($drawing->rungs as $rung)
<path class="rung" d="M52 {{ $rung['y'] }}H540"/><text class="rate" x="46" y="{{ $rung['beside'] }}">{{
    $rung['label']
}}</text>
@endforeach
@foreach ($drawing->feet as $foot)
<text class="moment" x="{{ $foot['x'] }}" y="202">{{ $foot['label'] }}</text>
@endforeach
<path class="curve" d="{{ $drawing->line }}"/>
@if ($drawing->wanted !== null)
<path class="asked" d="M52 {{ $drawing->wanted['y'] }}H{{ $drawing->wanted['x'] }}V180"/>
@endif
@foreach ($drawing->grains as $grain)
<circle class="grain" cx="{{ $grain['x'] }}" cy="{{ $grain['y'] }}" r="4"><title>{{ $grain['label'] }}</title></circle>
@endforeach
</svg>
