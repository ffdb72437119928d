{{-- What the sections hand out --}}
<h2 class="mt-4">{{ __('me.materials') }}</h2>
<ul class="places">
    @foreach ($page->materials as $one)
        <li><b><a href="{{ $one->address }}" rel="noopener noreferrer">{{ $one->title }}</a></b>
            <span class="quiet"><x-joined :of="[$one->section, $one->day]" /></span>
        </li>
    @endforeach
</ul>
