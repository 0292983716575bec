<ul>
@foreach ($known as $one)
<li><b>{{ $one->function }}:</b> {{ $one->sentence }} <span class="fine">as of {{ $one->asOf }}</span></li>
@endforeach
</ul>
