@if ($step->cautions !== [])
<ul class="cautions">
@foreach ($step->cautions as $caution)
<li>{{ $caution }}</li>
@endforeach
</ul>
@endif
<ol class="do">
@foreach ($step->instructions as $line)
<li>@words($line)</li>
@endforeach
</ol>
@if ($step->rows !== [])
<x-rows :rows="$step->rows"/>
@endif
@includeWhen(isset($stickStone), 'parts.stick-stone')
