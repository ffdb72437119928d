<x-base :title="__('account.sign_in.title')">
    <header class="mast"><a class="name" href="/sign-in"><x-mark />Nomada</a></header>
    <main id="main" tabindex="-1">
        <div class="sign-in">
            <form method="post" action="{{ route('sign-in.store') }}" novalidate>
                @csrf
                <h1>{{ __('account.sign_in.title') }}</h1>
                @if (session('said'))
                    <p class="said" role="status">{{ session('said') }}</p>
                @endif
                <x-address-field />
                <x-field name="password" type="password" :label="__('account.sign_in.password_label')" autocomplete="current-password" />
                <div class="form-check mb-3"><input class="form-check-input" type="checkbox" id="remember" name="remember"
                        value="1"><label class="form-check-label" for="remember">{{ __('account.sign_in.remember') }}</label></div>
                <button class="btn btn-main">{{ __('account.sign_in.go') }}</button>
                <p class="mt-3 mb-0"><a href="{{ route('forgotten') }}">{{ __('account.sign_in.forgotten') }}</a></p>
            </form>
            @if ($groups !== null)
                <x-demo-people :groups="$groups" />
            @endif
        </div>
    </main>
</x-base>
