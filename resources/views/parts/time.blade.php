@php($local = $at->copy()->timezone(config('cobblestone.timezone')))
<time datetime="{{ $at->toIso8601String() }}">{{ $local->isSameDay(now(config('cobblestone.timezone'))) ? $local->format('H:i') : $local->format('j M H:i') }}</time>
