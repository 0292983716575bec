@props(['link', 'seen'])
@if ($link->isPress() && auth()->user()->mayWork())
<x-act :to="$link->to()" :seen="$seen" class="door">
<input type="hidden" name="{{ $link->field() }}" value="{{ $link->door->value }}">
<button class="btn go small">{{ $link->door->does }}</button>
<a href="{{ $link->href() }}">See it at Intake</a>
</x-act>
@elseif ($link->href() !== '')
<a {{ $attributes->merge(['class' => 'door']) }} href="{{ $link->href() }}">{{ $link->door->does }}</a>
@else
<span class="door">{{ $link->door->does }}</span>
@endif
