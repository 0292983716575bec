<ol class="ladder">
@foreach ($rungs as $rung)
<li class="{{ $rung['standing'] }}">
<span class="rung-mark" aria-hidden="true"></span>
<div>
<b>{{ $rung['title'] }}</b> <span class="standing">{{ $rung['says'] }}</span>
<span class="fine">{{ $rung['keeps'] }}</span>
@if ($rung['why'] !== '')
<br><span class="fine why">{{ $rung['why'] }}</span>
@endif
</div>
</li>
@endforeach
</ol>
