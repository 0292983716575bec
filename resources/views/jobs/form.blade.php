@php($machine = $brief['machine'] ?? [])
@php($typedMachine = old('machine', $machine['model'] ?? $machine['kind'] ?? ''))
@php($backup = $brief['backup'] ?? [])
@php($image = $brief['image'] ?? '')
@php($chosenImage = old('image', is_array($image) ? 'other' : $image))
<div class="row g-3">
<div class="col-md-6"><label class="form-label" for="machine">Machine</label>
<input id="machine" name="machine" class="form-control" list="models" value="{{ $typedMachine }}" maxlength="120" autocomplete="off" {{ $brief === [] ? 'autofocus' : '' }} aria-describedby="machine-help wrong-machine">
<datalist id="models">@foreach ($catalogue->all('machines') as $id => $model)<option value="{{ $model['maker'] }} {{ $model['name'] }}">@endforeach @foreach (\App\Http\Requests\IntakeForm::KINDS as $kind => $words)<option value="{{ $kind }}">{{ $words }}</option>@endforeach</datalist>
<div class="form-text" id="machine-help">A few letters of the model, such as “d 13” or “xl”. Not in the catalogue: “laptop”, “desktop” or “handheld”.</div>@include('parts.error', ['field' => 'machine'])</div>
<div class="col-md-6"><label class="form-label" for="image">What goes on it</label>
<select id="image" name="image" class="form-select">@if ($brief === [])<option value="" @selected($chosenImage === '')>what this model usually gets</option>@endif @foreach ($catalogue->all('images') as $id => $entry)<option value="{{ $id }}" @selected($chosenImage === $id)>{{ $entry['name'] }} {{ $entry['version'] }}</option>@endforeach<option value="other" @selected($chosenImage === 'other')>an image that is not on the shelf</option></select>@include('parts.error', ['field' => 'image'])</div>
</div>
<details class="more" @if ($chosenImage === 'other' || $errors->hasAny(['system_name', 'image_name', 'image_bytes', 'usb_a', 'usb_c'])) open @endif><summary>Machine or image the catalogue does not hold</summary>
<div class="row g-3">
<div class="col-sm-6 col-lg-3"><label class="form-label" for="system_name">System</label><input id="system_name" name="system_name" class="form-control" maxlength="120" value="{{ old('system_name', is_array($brief['system'] ?? null) ? $brief['system']['name'] : '') }}">@include('parts.error', ['field' => 'system_name'])</div>
<div class="col-sm-6 col-lg-3"><label class="form-label" for="image_name">Image file</label><input id="image_name" name="image_name" class="form-control" maxlength="200" value="{{ old('image_name', is_array($image) ? $image['name'] : '') }}">@include('parts.error', ['field' => 'image_name'])</div>
<div class="col-sm-6 col-lg-2"><label class="form-label" for="image_bytes">Its size</label><input id="image_bytes" name="image_bytes" class="form-control mono" maxlength="40" placeholder="3.6 GB" value="{{ old('image_bytes', is_array($image) ? $image['bytes'] : '') }}">@include('parts.error', ['field' => 'image_bytes'])</div>
<div class="col-6 col-lg-2"><label class="form-label" for="usb_c">USB-C sockets</label><input id="usb_c" name="usb_c" inputmode="numeric" class="form-control mono" value="{{ old('usb_c', $machine['ports']['usb-c'] ?? 1) }}">@include('parts.error', ['field' => 'usb_c'])</div>
<div class="col-6 col-lg-2"><label class="form-label" for="usb_a">USB-A sockets</label><input id="usb_a" name="usb_a" inputmode="numeric" class="form-control mono" value="{{ old('usb_a', $machine['ports']['usb-a'] ?? 0) }}">@include('parts.error', ['field' => 'usb_a'])</div>
<div class="col-sm-6"><label class="form-label" for="machine_title">What to call the machine</label><input id="machine_title" name="machine_title" class="form-control" maxlength="120" value="{{ old('machine_title', $machine['title'] ?? '') }}"></div>
</div></details>
<details class="more" @if ($brief !== [] || old('keep') || $errors->hasAny(['backup_bytes', 'dest_free', 'dest_rate', 'backup_files', 'keep'])) open @endif><summary>What has to be kept</summary>
<div class="row g-3">
<div class="col-12 choices"><span class="form-label">Does anything on it have to be kept?</span> @foreach (['' => 'not asked yet', 'some' => 'yes, copy it first', 'nothing' => 'no, the owner says so in writing'] as $value => $words)<label><input type="radio" name="keep" value="{{ $value }}" @checked(old('keep', $machine['facts']['owner.keep'] ?? $backup['keep'] ?? '') === $value)> {{ $words }}</label>@endforeach @include('parts.error', ['field' => 'keep'])</div>
<div class="col-md-6"><label class="form-label" for="folders">Folders to copy</label><input id="folders" name="folders" class="form-control" value="{{ old('folders', implode(', ', $backup['folders'] ?? [])) }}">@include('parts.error', ['field' => 'folders'])</div>
<div class="col-6 col-md-3"><label class="form-label" for="backup_bytes">Together</label><input id="backup_bytes" name="backup_bytes" class="form-control mono" placeholder="24.1 GB" value="{{ old('backup_bytes', $backup['bytes'] ?? '') }}">@include('parts.error', ['field' => 'backup_bytes'])</div>
<div class="col-6 col-md-3"><label class="form-label" for="backup_files">Files</label><input id="backup_files" name="backup_files" inputmode="numeric" class="form-control mono" value="{{ old('backup_files', $backup['files'] ?? '') }}">@include('parts.error', ['field' => 'backup_files'])</div>
<div class="col-md-6"><label class="form-label" for="dest_name">Copied to</label><input id="dest_name" name="dest_name" class="form-control" value="{{ old('dest_name', $backup['destination']['name'] ?? '') }}">@include('parts.error', ['field' => 'dest_name'])</div>
<div class="col-6 col-md-3"><label class="form-label" for="dest_free">Free there</label><input id="dest_free" name="dest_free" class="form-control mono" placeholder="410 GB" value="{{ old('dest_free', $backup['destination']['free_bytes'] ?? '') }}">@include('parts.error', ['field' => 'dest_free'])</div>
<div class="col-6 col-md-3"><label class="form-label" for="dest_rate">Its rate, MB/s</label><input id="dest_rate" name="dest_rate" class="form-control mono" value="{{ old('dest_rate', $backup['destination']['mb_s'] ?? '') }}">@include('parts.error', ['field' => 'dest_rate'])</div>
</div></details>
<details class="more" @if (old('lsblk') || $errors->has('lsblk')) open @endif><summary>Reading of its drives{{ isset($machine['lsblk']) ? ' (read; paste again to replace it)' : '' }}</summary>
<label class="form-label" for="lsblk">What <code>lsblk -J -b</code> prints on the machine; best with <code>-o +SERIAL,WWN,MODEL,START,LOG-SEC,PHY-SEC,PTTYPE,PARTTYPE,PARTUUID,FSTYPE,FSUSED,LABEL,TRAN,RM</code></label>
<textarea id="lsblk" name="lsblk" class="form-control mono" rows="6" spellcheck="false">{{ old('lsblk') }}</textarea>@include('parts.error', ['field' => 'lsblk'])
</details>
<details class="more" @if ($errors->hasAny(['title', 'owner', 'slot'])) open @endif><summary>Name, owner, slot</summary>
<div class="row g-3">
<div class="col-md-6"><label class="form-label" for="title">Name of the job</label><input id="title" name="title" class="form-control" maxlength="120" value="{{ old('title', $brief['title'] ?? '') }}" placeholder="the model's name">@include('parts.error', ['field' => 'title'])</div>
<div class="col-md-4"><label class="form-label" for="owner">Owner</label><input id="owner" name="owner" class="form-control" maxlength="120" value="{{ old('owner', $brief['owner'] ?? '') }}" placeholder="the owner">@include('parts.error', ['field' => 'owner'])</div>
<div class="col-md-2"><label class="form-label" for="slot">Slot</label><input id="slot" name="slot" inputmode="numeric" class="form-control mono" value="{{ old('slot', $brief['slot'] ?? '') }}">@include('parts.error', ['field' => 'slot'])</div>
</div></details>
