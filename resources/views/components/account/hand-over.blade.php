{{-- The link for somebody whom no letter reaches, once after it was made --}}
@if (session('link'))
    <p class="warn"><b>{{ __('account.people.link') }}</b> <span class="mono">{{ Str::limit(session('link'), 60) }}</span>
        <x-copy :text="session('link')" />
    </p>
@endif
