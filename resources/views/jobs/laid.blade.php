@if ($page->carries() !== [])
<div class="laid" id="lay">
<p><b>For the stick:</b> {{ implode(', ', $page->carries()) }}.</p>
@if ($laid = session('laid'))
<p class="saved" role="status">
{{ $page->laidWords($laid) }}
</p>
@endif
@include('parts.error', ['field' => 'lay'])
@if (! $canLay)
<p class="fine">None of them is on this shelf as an archive: their files are laid into a folder of drivers by hand.</p>
@elseif ($mayWork)
<x-act :to="'/jobs/'.$job->id.'/drivers/lay'">
<button class="btn">Unpack them into a folder for the stick</button>
</x-act>
@endif
</div>
@endif
