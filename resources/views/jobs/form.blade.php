<div class="row g-3">
<div class="col-md-6">
<label class="form-label" for="machine">Machine</label>
<input id="machine" name="machine" class="form-control" list="models" value="{{ $form->machine() }}" maxlength="120"
 autocomplete="off" {{ $form->isNew() ? 'autofocus' : '' }} aria-describedby="machine-help wrong-machine">
<datalist id="models">
@foreach ($form->models() as $title => $words)
<option value="{{ $title }}">{{ $words }}</option>
@endforeach
</datalist>
<div class="form-text" id="machine-help">
A few letters of the model, such as “d 13” or “xl”.
Not in the catalogue: “laptop”, “desktop”, “handheld” or “sealed”; “any” for a stick only.
</div>
@include('parts.error', ['field' => 'machine'])
</div>
<x-field :field="$form->serial()"/>
<div class="col-12 fills" aria-live="polite" hx-post="/jobs/seen" hx-target="this" hx-swap="innerHTML"
 hx-select="#seen-before" hx-select-oob="unset"
 hx-trigger="load, change from:#facts-machine-serial" hx-include="closest form"
 hx-params="_token,job,facts[machine.serial]"></div>
@isset($job)
<input type="hidden" name="job" value="{{ $job->id }}" id="of-job">
@endisset
<x-field :field="$form->image()"/>
<x-field :field="$form->kind()"/>
<x-field :field="$form->why()"/>
<div class="col-12" hx-post="{{ $gentlerAt }}" hx-include="closest form"
 hx-trigger="load, change from:closest form delay:250ms"
 hx-target="find #gentler" hx-select="#gentler" hx-swap="outerHTML" hx-select-oob="unset">
<div id="gentler"></div>
</div>
</div>
<x-fields :group="$form->ofKinds()"/>
<x-fields :group="$form->notHeld()"/>
<x-fields :group="$form->kept()">
<div class="col-12 choices">
<span class="form-label">{{ $form->keepAsked() }}</span>
@foreach ($form->keeping() as $value => $words)
<label><input type="radio" name="keep" value="{{ $value }}" @checked($form->keep() === $value)> {{ $words }}</label>
@endforeach
@include('parts.error', ['field' => 'keep'])
</div>
</x-fields>
@include('parts.error', ['field' => 'facts'])
<details class="more" @if ($form->more()) open @endif>
<summary>What is there already, power, and departures from the policy</summary>
@foreach ($form->besides() as $heading => $fields)
<h3>{{ $heading }}</h3>
<div class="row g-3">
@foreach ($fields as $field)
<x-field :field="$field"/>
@endforeach
</div>
@endforeach
@if ($form->said() !== '')
<p class="fine mt-2"><b>Said in the brief</b>, and kept: {{ $form->said() }}</p>
@endif
</details>
<details class="more" @if (old('lsblk') || $errors->has('lsblk')) open @endif>
<summary>Reading of its drives
@if ($form->drivesAreRead())
(read; paste again to replace it)
@endif
</summary>
<label class="form-label" for="lsblk">
What <code>lsblk -J -b</code> prints on the machine; best with
<code>-o +SERIAL,WWN,MODEL,START,LOG-SEC,PHY-SEC,PTTYPE,PARTTYPE,PARTUUID,FSTYPE,FSUSED,LABEL,TRAN,RM</code>
</label>
<textarea id="lsblk" name="lsblk" class="form-control mono" rows="6" spellcheck="false">{{ old('lsblk') }}</textarea>
@include('parts.error', ['field' => 'lsblk'])
</details>
<x-fields :group="$form->names()"/>
