@if ($proof->percent !== null)
<progress max="100" value="{{ $proof->percent }}" aria-label="Hashed so far"></progress>
@endif
@if ($proof->word !== '')
<b class="{{ $proof->class }}">{{ $proof->word }}</b>
@endif
<span class="fine">{{ $proof->words }}</span>
