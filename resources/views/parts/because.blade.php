@foreach ($step->because as $reason)
<p>@words($reason->text) <span class="rule">{{ $reason->rule }}</span></p>
@if ($reason->source !== '')<p class="src">{{ $reason->source }}</p>@endif
@endforeach
