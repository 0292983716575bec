@props(['to', 'seen', 'confirmation'])
<x-act :to="$to" :seen="$seen" class="strip">
<p class="strip-what">
<b>{{ $confirmation->device }}</b>,
<span title="{{ $confirmation->exact() }} B">{{ $confirmation->exact() }} bytes</span>@if ($confirmation->serial),
serial <code>{{ \Cobblestone\Runbook\Confirmation::mask($confirmation->serial) }}</code>@endif<br>
Lost for {{ $confirmation->forWhom }}: <b>{{ $confirmation->loses }}</b>. This cannot be undone.
</p>
@if ($confirmation->typed)
<label for="serial">Last four of the serial, as read from the drive itself</label>
<input id="serial" name="serial" class="form-control mono serial" maxlength="12" autocomplete="off"
 autocapitalize="characters" spellcheck="false" required data-key="g">
@include('parts.error', ['field' => 'serial'])
<span class="form-label">Where it was read</span>
<div class="choices">
@foreach (\Cobblestone\Runbook\Confirmation::READ_FROM as $value => $words)
<label>
<input type="radio" name="read_from" value="{{ $value }}" @checked(old('read_from') === $value) required> {{ $words }}
</label>
@endforeach
</div>
@include('parts.error', ['field' => 'read_from'])
<button class="btn stop">It is this drive: begin <kbd>Enter</kbd></button>
@else
@unless ($confirmation->serial)
<p>It names no serial of its own: compare size, model and contents once more, with every other drive out.</p>
@endunless
<button class="btn stop" data-key="g">Yes, this one: begin <kbd>g</kbd></button>
@endif
</x-act>
