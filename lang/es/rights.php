<?php

// Qué pueden hacer los docentes con el horario de sus grupos.
return [
    'title' => 'Qué pueden hacer los docentes',
    'of_school' => 'Todos los grupos',
    'school' => 'Todos los grupos',
    'as_school' => 'como todos los grupos',
    'hint' => 'Un cambio que un docente no puede hacer por su cuenta se convierte en una solicitud. También si es '
        .'fuera del horario, si hay coincidencias o si la serie es de varios grupos.',
    'permissions' => ['yes' => 'Sí', 'ask' => 'Solicitud', 'no' => 'No'],
    'acts' => [
        'describe' => 'Cambiar el título y la nota de una sesión',
        'topics' => 'Asignar temas',
        'add' => 'Añadir sesiones extra y de recuperación',
        'move' => 'Mover, cancelar o ceder una sesión',
        'series' => 'Mover las sesiones siguientes o toda la serie',
    ],
    'notice' => 'Sin solicitud, una sesión se puede mover o cancelar hasta',
    'hours' => 'horas antes de que empiece',
    'save' => 'Guardar',
    'save_of' => 'Guardar para este grupo',
    'reset' => 'Usar los ajustes del centro',
    'others' => 'Grupos con otros ajustes',
    'no_others' => 'Ninguno. Todos los grupos siguen estos ajustes.',
    'section' => 'Grupo',
    'choose' => 'Ver grupo',
];
