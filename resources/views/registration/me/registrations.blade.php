{{-- Where the student registers, or has --}}
<h2 class="mt-4">{{ __('me.registrations') }}</h2>
<ul class="places">
    @foreach ($page->registrations as $one)
        <li><b>{{ $one->name }}</b><span class="{{ $one->tone() }}">{{ __('me.states.' . ($one->state?->value ?? 'none')) }}</span><a
                href="{{ route('register', $one->series) }}"
                aria-label="{{ __('me.registration_of', ['name' => $one->name]) }}">{{ __('me.acts.' . ($one->state?->value
                    ?? 'none')) }}</a>
        </li>
    @endforeach
</ul>
