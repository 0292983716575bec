<div class="cols">
<x-panel :title="$files->title()">
<p>{{ $files->how() }}. It carries:</p>
<ul class="fits">
@foreach ($files->files() as $file)
<li class="can"><span class="mono">{{ $file['path'] }}</span> <span class="fine">{{ $file['size'] }}
@if ($file['source'] !== '')
· <span class="mono">{{ $file['source'] }}</span> under the name that is looked for
@endif
@if ($file['proof'] !== '')
· {{ $file['proof'] }}
@endif
</span></li>
@endforeach
@foreach ($files->lacks() as $lack)
<li class="cannot"><span class="wrong-words">{{ $lack }}</span></li>
@endforeach
</ul>
@if ($files->madeOn !== null)
<p><a href="/sticks/{{ $files->madeOn }}"><b>A stick with exactly these</b></a> was made for this job, read back and
equal.{{ $files->isLaid ? ' Its stone is laid.' : '' }}</p>
@if (! $files->isLaid && $files->mayWork)
<x-act :to="'/jobs/'.$job->id.'/stick'" :seen="$job->last_entry">
<input type="hidden" name="stick" value="{{ $files->madeOn }}">
<button class="btn go">Lay what it proves</button>
</x-act>
@endif
@endif
@include('parts.error', ['field' => 'files'])
</x-panel>
@if ($files->lacks() !== [])
<x-panel title="Make it"><p>What is missing comes first.
<a href="/shelf">The shelf</a> · <a href="/jobs/{{ $job->id }}/drivers">The drivers</a></p></x-panel>
@elseif ($files->mayWork && $files->chosen !== null)
<x-panel title="Make it" class="one-way-panel">
<form method="get" action="/jobs/{{ $job->id }}/stick" class="pick-stick">
<label class="form-label" for="files-stick">Stick</label>
<select id="files-stick" name="files" class="form-select">
@foreach ($files->sticks as $id => $one)
<option value="{{ $id }}" @selected($files->chosen->id === $id)>{{ $one->name }} · {{ $one->size()->decimal() }} ·
{{ $one->contents ?? 'contents not known' }}</option>
@endforeach
</select><button class="btn">Choose</button>
</form>
<form method="post" action="/jobs/{{ $job->id }}/stick/files">
@csrf
<input type="hidden" name="stick" value="{{ $files->chosen->id }}">
<div class="strip"><p class="strip-what"><b>{{ $files->chosen->name }}</b>,
{{ $files->exactBytes() }} bytes{{ $files->masked() === '' ? '' : ', serial' }} <code>{{ $files->masked() }}</code>
<br>Lost for the bench: <b>{{ $files->chosen->contents ?? 'whatever is on it' }}</b>. This cannot be undone.</p>
@if ($files->masked() !== '')
<label for="files-serial">Last four of the serial, as printed on the stick</label>
<input id="files-serial" name="serial" class="form-control mono serial" maxlength="12" autocomplete="off"
 autocapitalize="characters" spellcheck="false" required>
@include('parts.error', ['field' => 'serial'])
@endif
<button class="btn stop">It is this stick: build <kbd>Enter</kbd></button></div>
</form>
</x-panel>
@elseif ($files->mayWork)
<x-panel title="Make it"><p>No stick of the register may be taken for it now.</p></x-panel>
@endif
</div>
