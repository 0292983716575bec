@if ($page->carries() !== [])
<div class="laid" id="lay" @if ($laying?->isUnderWay) hx-get="/jobs/{{ $job->id }}/drivers" hx-trigger="every 1s"
 hx-target="this" hx-select="#lay" hx-swap="outerHTML" hx-select-oob="unset" @endif>
<p><b>For the stick:</b> {{ implode(', ', $page->carries()) }}.</p>
@if ($laying !== null)
@if ($laying->isUnderWay)
<div class="depth" role="progressbar" aria-valuemin="0" aria-valuemax="1000" aria-label="Unpacking"
 @if ($laying->thousandths() !== null) aria-valuenow="{{ $laying->thousandths() }}" @endif>
<progress max="1000" @if ($laying->thousandths() !== null) value="{{ $laying->thousandths() }}" @endif></progress>
</div>
@endif
<p class="{{ $laying->mood() }}" role="status">{{ $laying->words() }}</p>
@endif
@include('parts.error', ['field' => 'lay'])
@if ($mayWork && $laying?->isUnderWay)
<x-act :to="'/jobs/'.$job->id.'/drivers/lay/stop'">
<button class="btn stop">Stop</button>
</x-act>
@elseif (! $canLay)
<p class="fine">None of them is on this shelf as an archive: their files are laid into a folder of drivers by hand.</p>
@elseif ($mayWork)
<x-act :to="'/jobs/'.$job->id.'/drivers/lay'">
<button class="btn">{{ $page->unpackWords() }}</button>
</x-act>
@endif
</div>
@endif
