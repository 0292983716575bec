@props(['to', 'seen', 'confirmation'])
<x-act :to="$to" :seen="$seen" class="strip">
<p class="strip-what">
<b>{{ $confirmation->device }}</b>@if ($confirmation->bytes > 0),
<span title="{{ $confirmation->exact() }} B">{{ $confirmation->exact() }} bytes</span>@endif
@if ($confirmation->serial),
serial <code>{{ \Cobblestone\Runbook\Confirmation::mask($confirmation->serial) }}</code>@endif<br>
Lost for {{ $confirmation->forWhom }}: <b>{{ $confirmation->loses }}</b>. This cannot be undone.
</p>
@if ($confirmation->typed)
<label for="serial">
Last four of the serial, as read from the {{ $confirmation->machine ? 'machine' : 'drive' }} itself
</label>
<input id="serial" name="serial" class="form-control mono serial" maxlength="12" autocomplete="off"
 autocapitalize="characters" spellcheck="false" required data-key="g">
@include('parts.error', ['field' => 'serial'])
<span class="form-label">Where it was read</span>
<div class="choices">
@foreach ($confirmation->readFrom() as $value => $words)
<label>
<input type="radio" name="read_from" value="{{ $value }}" @checked(old('read_from') === $value) required> {{ $words }}
</label>
@endforeach
</div>
@include('parts.error', ['field' => 'read_from'])
<button class="btn stop">It is this {{ $confirmation->machine ? 'machine' : 'drive' }}: begin <kbd>Enter</kbd></button>
@else
@if ($confirmation->machine)
<p>It bears no serial: compare model, suffix, board and revision once more, with every other machine away.</p>
@elseif (! $confirmation->serial)
<p>It names no serial of its own: compare size, model and contents once more, with every other drive out.</p>
@endif
<button class="btn stop" data-key="g">Yes, this one: begin <kbd>g</kbd></button>
@endif
</x-act>
