@if ($page->against() !== '')
<x-panel title="Make it"><p>{{ $page->against() }}</p></x-panel>
@elseif ($page->isMadeElsewhere())
<x-panel title="Make it"><p>It is made on {{ $page->hostName() }}:
<a class="btn go" href="{{ $page->elsewhere($job->id) }}" data-key="m">The script, and its proof here <kbd>m</kbd></a>
</p></x-panel>
@elseif ($page->mayWork)
<x-panel title="Make it" class="one-way-panel">
<form method="post" action="/shelf/{{ $page->file()->id }}/builds">
@csrf
<input type="hidden" name="job" value="{{ $job->id }}">
<input type="hidden" name="way" value="{{ $page->way->key }}">
<input type="hidden" name="drivers" value="{{ $page->drivers }}">
<input type="hidden" name="stick" value="{{ $page->chosen->stick->id }}">
<p>From <b class="mono">{{ $page->file()->name }}</b>, {{ $page->wanted->mode->title() }}:
<x-size :of="$page->way->need->count"/> are needed. When every byte was read back, the stones that it proves are laid.
<a href="/shelf/{{ $page->file()->id }}/ways?stick={{ $page->chosen->stick->id }}&amp;job={{ $job->id }}">Other
ways</a> · <a href="{{ $page->elsewhere($job->id) }}">On another computer</a></p>
@foreach ($page->chosen->against as $line)
<p class="fine">{{ $page->chosen->stick->name }}: {{ $line }}</p>
@endforeach
<div class="strip"><p class="strip-what"><b>{{ $page->chosen->stick->name }}</b>,
{{ $page->exactBytes() }} bytes{{ $page->chosen->stick->serial ? ', serial' : '' }}
@if ($page->chosen->stick->serial)
<code>{{ \Cobblestone\Runbook\Confirmation::mask($page->chosen->stick->serial) }}</code>
@endif
<br>Lost for the bench: <b>{{ $page->chosen->stick->contents ?? 'whatever is on it' }}</b>. This cannot be undone.</p>
@if ($page->chosen->stick->serial)
<label for="serial">Last four of the serial, as printed on the stick</label>
<input id="serial" name="serial" class="form-control mono serial" maxlength="12" autocomplete="off"
 autocapitalize="characters" spellcheck="false" required>
@include('parts.error', ['field' => 'serial'])
@else
<p>This stick names no serial: take all other removable drives out, compare size, model and contents, and put our label
on it before it is written.</p>
@endif
@include('parts.error', ['field' => 'way'])
@include('parts.error', ['field' => 'job'])
<button class="btn stop">It is this stick: build <kbd>Enter</kbd></button></div>
</form>
</x-panel>
@endif
