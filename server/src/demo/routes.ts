import { api } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { playAgain } from './evening'

export const demoRoutes = [answers(api.darkroom.evening, playAgain)]
