@props(['shop', 'paper'])
<header><div>
@if ($shop === '')
<b>{{ $paper }}</b>
@else
<b>{{ $shop }}</b><br>{{ $paper }}
@endif
</div>
<div class="num">{{ $slot }}</div></header>
