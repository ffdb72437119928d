{{-- What is typed and chosen, as it comes and with a fault --}}
<x-card :title="__('house.forms')">
    <form class="house-form" method="get" action="{{ route('house') }}">
        <x-field :name="$scheme . '-field'" :label="__('house.field')" :hint="__('house.hint')" value="9:05" />
        <x-choice :name="$scheme . '-choice'" :label="__('house.choice')" :of="['a' => 'A', 'b' => 'B']" chosen="b" :hint="__('house.hint')"
            own />
        <p><label for="{{ $scheme }}-date">{{ __('house.date') }}</label>
            <x-date :id="$scheme . '-date'" :name="$scheme . '-date'" value="2027-02-18" />
        </p>
        <p class="inline"><x-from-to :names="[$scheme . '-from', $scheme . '-to']" from="9:05" to="9:50" /></p>
        <div class="editor d-block p-0 border-0">
            <x-radio :name="$scheme . '-radio'" :id="$scheme . '-r1'" value="1" chosen="1" :label="__('house.one')">
                <x-ticks :name="$scheme . '-ticks'" :id="$scheme . '-t'" :of="$page->ticks" />
            </x-radio>
            <x-radio :name="$scheme . '-radio'" :id="$scheme . '-r2'" value="2" chosen="1" :label="__('house.another')" />
        </div>
        <x-more :title="__('house.more')">{{ __('house.folded') }}</x-more>
        <x-more :title="__('house.more')" open>{{ __('house.unfolded') }}</x-more>
        <div class="invalid" role="alert">{{ __('house.invalid') }}</div>
    </form>
</x-card>
