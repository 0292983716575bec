<x-panel title="Collecting stick" class="{{ $collect->file === null ? '' : 'one-way-panel' }}">
@include('parts.error', ['field' => 'collect'])
@if ($collect->file === null)
<p>No image on the shelf is {{ $collect->wanted->image }}. <a href="/shelf">The shelf</a></p>
@elseif ($collectOn === null)
<p>No stick of the register may be taken for it now.</p>
@else
<p><b class="mono">{{ $collect->file->name }}</b>, files copied beside a storage partition, with the collector. It
starts on the machine, reads what it is, and carries the bundle home.</p>
@if ($mayWork)
<form method="post" action="/jobs/{{ $job->id }}/stick/collect">
@csrf
<input type="hidden" name="stick" value="{{ $collectOn->id }}">
<div class="strip"><p class="strip-what"><b>{{ $collectOn->name }}</b>,
{{ number_format($collectOn->size()->count, 0, '.', ' ') }} bytes.
<br>Lost for the bench: <b>{{ $collectOn->contents ?? 'whatever is on it' }}</b>. This cannot be undone.</p>
@if ($collectOn->serial)
<label for="collect-serial">Last four of the serial, as printed on the stick</label>
<input id="collect-serial" name="serial" class="form-control mono serial" maxlength="12" autocomplete="off"
 autocapitalize="characters" spellcheck="false" required>
@include('parts.error', ['field' => 'serial'])
@endif
<button class="btn stop">It is this stick: build <kbd>Enter</kbd></button></div>
</form>
@endif
@endif
</x-panel>
