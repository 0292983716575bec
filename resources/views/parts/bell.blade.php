@if ($bell !== null)
<div class="bell {{ $bell->late ? 'late' : '' }}" role="status">
<a href="{{ $bell->href }}" class="bell-first">
@if ($bell->clock !== null)
<b class="clock" data-until="{{ $bell->until }}">{{ $bell->clock }}</b>
@else
<b>Now</b>
@endif
<span>{{ $bell->job }}: @words($bell->action)</span></a>
@if ($bell->rest !== '')
<a href="/bell" class="bell-rest">{{ $bell->rest }}</a>
@endif
</div>
@endif
