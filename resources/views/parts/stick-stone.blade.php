<div class="stick-stone">
@foreach ($stickStone->images as $image)
<p>On the shelf: <a class="mono" href="{{ $image['href'] }}">{{ $image['name'] }}</a></p>
@endforeach
<p>
@if ($stickStone->fetch !== null)
<a class="btn" href="{{ $stickStone->fetch }}">Fetch it onto the shelf</a> What has come whole lays this stone.
@elseif ($stickStone->made !== null)
<b>{{ $stickStone->made }}</b> was made for this job and is good.
<a href="/jobs/{{ $stickStone->job }}/stick">Lay what it proves</a>
@else
<a href="/jobs/{{ $stickStone->job }}/stick">Make this stick</a> here: what was built and read back lays its stones.
@endif
</p>
</div>
