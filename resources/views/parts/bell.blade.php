@if ($bell !== [])
@php($first = $bell[0])
<div class="bell {{ $first['overdue'] ? 'late' : '' }}" role="status">
<a href="/jobs/{{ $first['job'] }}/run?stone={{ $first['step'] }}" class="bell-first">@if ($first['due'] !== 0)<b class="clock" data-until="{{ now()->timestamp + $first['due'] }}">{{ $first['due'] < 0 ? '+' : '' }}{{ sprintf('%d:%02d', intdiv(abs($first['due']), 60), abs($first['due']) % 60) }}</b>@else<b>Now</b>@endif
 <span>{{ $first['slot'] === null ? '' : "Slot {$first['slot']}, " }}{{ $first['title'] }}: @words($first['action'])</span></a>
@if (count($bell) > 1)<a href="/bell" class="bell-rest">and {{ count($bell) - 1 }} more {{ count($bell) === 2 ? 'waits' : 'wait' }}</a>@endif
</div>
@endif
