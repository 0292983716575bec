<details class="panel">
<summary><b>Driver packages the catalogue describes</b> ({{ count($drivers) }})</summary>
<div class="table-responsive" tabindex="0">
<table class="plain list">
<thead>
<tr>
<th>package</th><th>family</th><th>version</th><th class="num">size</th><th>restart</th><th>for</th>
</tr>
</thead>
<tbody>
@foreach ($drivers as $package)
<tr>
<td><a href="/catalogue/drivers/{{ $package->id }}">{{ $package->name }}</a></td>
<td>{{ $package->family }}</td>
<td class="mono">{{ $package->version }}</td>
<td class="num" title="{{ $package->size()->exact() }}">{{ $package->size()->decimal() }}</td>
<td>{{ str_replace('-', ' ', $package->restart) }}</td>
<td>{{ implode(', ', $package->systems) }}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
</details>
<details class="panel">
<summary><b>Images the catalogue describes</b> ({{ count($images) }})</summary>
<div class="table-responsive" tabindex="0">
<table class="plain list">
<thead>
<tr>
<th>image</th><th>kind</th><th class="num">size</th><th>loader</th><th>published checksum</th><th>as of</th>
<th>not here?</th>
</tr>
</thead>
<tbody>
@foreach ($images as $image)
<tr>
<td><a href="/catalogue/images/{{ $image->id }}">{{ $image->name }} {{ $image->version }}</a></td>
<td>{{ str_replace('-', ', ', $image->kind) }}</td>
<td class="num" title="{{ $image->size()->exact() }}">{{ $image->size()->decimal() }}</td>
<td>{{ \App\View\Words::signature($image) }}</td>
<td class="mono">{{ $image->sha256 === null ? 'none published' : substr($image->sha256, 0, 16).'…' }}</td>
<td>{{ $image->asOf }}</td>
<td><a href="/shelf/fetch/{{ $image->id }}">fetch</a></td>
</tr>
@endforeach
</tbody>
</table>
</div>
</details>
