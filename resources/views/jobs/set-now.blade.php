<section class="panel" aria-labelledby="set-now">
<h2 id="set-now">What is set now</h2>
@if (session('did') === 'snapshot')
<p class="holds" role="status">Recorded. The path is computed from it.</p>
@endif
@error('settings')
<p class="wrong" role="alert">{{ $message }}</p>
@enderror
@if ($page->notes() !== [])
<ul class="wrong">
@foreach ($page->notes() as $note)
<li>{{ $note }}</li>
@endforeach
</ul>
@endif
@if ($page->settings === [])
<p>A sealed machine has no settings that a technician could change.</p>
@else
<p><b>{{ $page->inForce() }}</b> {{ $page->inForceBecause() }} <span class="rule">F2</span></p>
<x-act :to="'/jobs/'.$job->id.'/settings'" :seen="$job->last_entry" enctype="multipart/form-data">
<div class="table-responsive" tabindex="0">
<table class="plain stack set-now">
<thead>
<tr>
<th>setting</th><th>where</th><th>set to</th><th>known from</th>
@if ($mayWork)
<th>read now</th>
@endif
</tr>
</thead>
<tbody>
@foreach ($page->rows() as $row)
<tr>
<td><b>{{ $row['setting']->title }}</b>
@if ($row['needs'] !== '')
<br><span class="fine">{{ $row['needs'] }}</span>
@endif
</td>
<td class="fine">{{ $row['setting']->place }}</td>
<td>{{ $row['set'] }}</td>
<td>
<span class="certainty {{ $row['certainty'] }}">{{ $row['certainty'] }}</span>
<span class="fine">{{ $row['from'] }}</span>
</td>
@if ($mayWork)
<td>
<select class="form-select" name="settings[{{ $row['setting']->id }}]"
 aria-label="{{ $row['setting']->title }}, read now">
<option value="">not looked at</option>
@foreach ($row['setting']->values as $value)
<option @selected(old("settings.{$row['setting']->id}") === $value)>{{ $value }}</option>
@endforeach
</select>
</td>
@endif
</tr>
@endforeach
</tbody>
</table>
</div>
@if ($mayWork)
<div class="row g-3">
<div class="col-md-7">
<label class="form-label" for="pasted">Or paste, one setting a line</label>
<textarea class="form-control mono" id="pasted" name="pasted" rows="3" placeholder="{{ $page->example() }}">{{
    old('pasted')
}}</textarea>
@include('parts.error', ['field' => 'pasted'])
</div>
<div class="col-md-5">
<label class="form-label" for="photo">Photo of the page, as evidence</label>
<input class="form-control" type="file" id="photo" name="photo" accept="image/jpeg,image/png,image/webp">
@include('parts.error', ['field' => 'photo'])
<p class="fine">JPEG, PNG or WebP up to 12 MB. It stays on this bench.</p>
</div>
</div>
<div class="acts"><button class="btn go">Record what is set</button></div>
@endif
</x-act>
@endif
</section>
